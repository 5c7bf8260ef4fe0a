package zinctally.store.seal;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import zinctally.core.seal.Hash;
import zinctally.core.seal.Leaf;
import zinctally.core.seal.MerkleTree;
import zinctally.core.seal.Seal;
import zinctally.store.Retrying;

/**
 * Seals what is committed and not sealed yet. One at a time, and apart from posting, which neither
 * waits for it nor writes anything for it.
 */
@Service
public class Sealer {
  /** Leaves of one seal at most, so that none holds much in memory. */
  static final int MOST = 20_000;

  /**
   * Ids are given in order, but what bears a lower one may be committed later. So far back is
   * looked each time; the check looks at all.
   */
  private static final long BACK = 20_000;

  private final List<Sealed> kinds;
  private final SealStore seals;
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;
  private final Retrying retrying;
  private final Clock clock;

  Sealer(
      List<Sealed> kinds,
      SealStore seals,
      JdbcClient sql,
      JdbcTemplate jdbc,
      Retrying retrying,
      Clock clock) {
    this.kinds = kinds;
    this.seals = seals;
    this.sql = sql;
    this.jdbc = jdbc;
    this.retrying = retrying;
    this.clock = clock;
  }

  /** Seals all there is; the last seal, which may be an older one when there is nothing new. */
  public Optional<Seal> seal() {
    while (once()) {}
    return seals.latest();
  }

  private record Numbered(Sealed kind, long id, Leaf leaf) {}

  private boolean once() {
    return Boolean.TRUE.equals(
        retrying.run(
            () -> {
              sql.sql("select id from sealer where id = 1 for update").query().singleValue();
              List<Numbered> leaves = new ArrayList<>();
              for (Sealed kind : kinds) take(kind, leaves);
              if (!leaves.isEmpty()) write(leaves);
              return leaves.size() >= MOST;
            }));
  }

  private void take(Sealed kind, List<Numbered> leaves) {
    int room = MOST - leaves.size();
    if (room <= 0) return;
    long from =
        sql.sql("select coalesce(max(of_id), 0) from seal_leaf where kind = ?")
                .param(kind.kind())
                .query(Long.class)
                .single()
            - BACK;
    List<Long> ids =
        sql.sql(
                "select t.id from "
                    + kind.table()
                    + " t left join seal_leaf l on l.kind = ? and l.of_id = t.id"
                    + " where t.id > ? and l.of_id is null order by t.id limit ?")
            .params(kind.kind(), from, room)
            .query(Long.class)
            .list();
    if (ids.isEmpty()) return;
    Map<Long, Leaf> now = kind.leaves(ids.get(0), ids.get(ids.size() - 1));
    for (long id : ids) {
      Leaf leaf = now.get(id);
      if (leaf != null) leaves.add(new Numbered(kind, id, leaf));
    }
  }

  private void write(List<Numbered> leaves) {
    Optional<Seal> before = seals.latest();
    Seal seal =
        new Seal(
            before.map(Seal::no).orElse(0L) + 1,
            LocalDateTime.now(clock).truncatedTo(ChronoUnit.MILLIS),
            leaves.size(),
            MerkleTree.root(leaves.stream().map(Numbered::leaf).toList()),
            before.map(Seal::hash).orElse(Hash.NONE));
    sql.sql("insert into seal (no, at, leaves, root, before_hash, hash) values (?, ?, ?, ?, ?, ?)")
        .params(seal.no(), seal.at(), seal.leaves(), seal.root().bytes(), seal.before().bytes())
        .param(seal.hash().bytes())
        .update();
    List<Object[]> rows = new ArrayList<>();
    for (Numbered n : leaves)
      rows.add(
          new Object[] {
            n.kind.kind(),
            n.id,
            seal.no(),
            rows.size(),
            n.leaf.figures().bytes(),
            n.leaf.words().bytes()
          });
    jdbc.batchUpdate(
        "insert into seal_leaf (kind, of_id, seal_no, place, figures, words)"
            + " values (?, ?, ?, ?, ?, ?)",
        rows);
  }
}
