package zinctally.store.seal;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.seal.Hash;
import zinctally.core.seal.Leaf;

/**
 * Lets words of sealed rows be changed by what the book has for it, such as erasing a person, and
 * writes down which changed, so that it is told apart from what nobody may do. Figures have no such
 * way.
 */
@Component
public class ChangingWords {
  private static final long STEP = 5_000;

  private static final String POSTINGS =
      """
      select l.of_id from (
        select t.id from paper p join posting t on t.paper_id = p.id where p.party_id in (:who)
        union
        select m.posting_id from place o join quantity_move m on m.place_id = o.id
        where o.owner_id in (:who) or o.host_id in (:who)
        union
        select t.id from place o join quantity_move m on m.place_id = o.id
        join posting t on t.paper_id = m.paper_id
        where o.owner_id in (:who) or o.host_id in (:who)) x
      join seal_leaf l on l.kind = 'posting' and l.of_id = x.id""";

  private static final String AUDIT =
      """
      select l.of_id from audit a join seal_leaf l on l.kind = 'audit' and l.of_id = a.id
      where a.subject in ('customer', 'supplier') and a.subject_id in (:who)""";

  private final Map<String, Sealed> kinds = new HashMap<>();
  private final JdbcClient sql;
  private final Clock clock;

  ChangingWords(List<Sealed> kinds, JdbcClient sql, Clock clock) {
    kinds.forEach(k -> this.kinds.put(k.kind(), k));
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * Makes a change inside a transaction to what papers, moves and the audit trail say of parties.
   *
   * @param parties whom it may touch
   */
  public void about(List<Long> parties, String why, String login, Runnable change) {
    Map<String, List<Long>> touched =
        Map.of("posting", sealed(POSTINGS, parties), "audit", sealed(AUDIT, parties));
    Map<String, Map<Long, Leaf>> before = new HashMap<>();
    touched.forEach((kind, ids) -> before.put(kind, now(kind, ids)));
    change.run();
    touched.forEach(
        (kind, ids) ->
            now(kind, ids)
                .forEach(
                    (id, leaf) -> {
                      Leaf was = before.getOrDefault(kind, Map.of()).get(id);
                      if (was != null && !was.words().equals(leaf.words()))
                        keep(kind, id, was.words(), leaf.words(), login, why);
                    }));
  }

  private List<Long> sealed(String select, List<Long> parties) {
    return sql.sql(select).param("who", parties).query(Long.class).list();
  }

  private Map<Long, Leaf> now(String kind, List<Long> ids) {
    Map<Long, Leaf> leaves = new HashMap<>();
    Sealed sealed = Objects.requireNonNull(kinds.get(kind));
    List<Long> sorted = ids.stream().sorted().toList();
    for (int first = 0; first < sorted.size(); ) {
      int last = first;
      while (last + 1 < sorted.size() && sorted.get(last + 1) - sorted.get(first) < STEP) last++;
      leaves.putAll(sealed.leaves(sorted.get(first), sorted.get(last)));
      first = last + 1;
    }
    leaves.keySet().retainAll(new HashSet<>(ids));
    return leaves;
  }

  private void keep(String kind, long id, Hash was, Hash becomes, String login, String why) {
    sql.sql(
            "insert into seal_change (kind, of_id, was, becomes, at, login, why)"
                + " values (?, ?, ?, ?, ?, ?, ?)")
        .params(kind, id, was.bytes(), becomes.bytes(), LocalDateTime.now(clock), login, why)
        .update();
  }
}
