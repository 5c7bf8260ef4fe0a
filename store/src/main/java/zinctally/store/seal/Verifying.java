package zinctally.store.seal;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import zinctally.core.seal.Hash;
import zinctally.core.seal.Leaf;
import zinctally.core.seal.MerkleTree;
import zinctally.core.seal.Seal;
import zinctally.store.house.AtBook;

/**
 * Works all seals out again from what stands in the book, and names what is not as it was sealed.
 */
@Component
public class Verifying {
  private static final int STEP = 2_000;
  private static final int SEALS = 500;
  private final List<Sealed> kinds;
  private final SealStore seals;
  private final JdbcClient sql;

  Verifying(List<Sealed> kinds, SealStore seals, JdbcClient sql) {
    this.kinds = kinds;
    this.seals = seals;
    this.sql = sql;
  }

  /**
   * What came of it.
   *
   * @param what what must hold
   * @param looked at how many things
   */
  public record Verified(String what, long looked, List<String> faults) {}

  public List<Verified> all() {
    List<Verified> all = new ArrayList<>();
    all.add(chain());
    for (Sealed kind : kinds) all.add(content(kind));
    all.add(inOrder());
    all.add(closings());
    return all;
  }

  private Verified chain() {
    List<String> faults = new ArrayList<>();
    long looked = 0;
    Hash before = Hash.NONE;
    long next = 1;
    for (List<SealStore.Written> some = seals.seals(next, SEALS);
        !some.isEmpty();
        some = seals.seals(next, SEALS))
      for (SealStore.Written written : some) {
        Seal seal = written.seal();
        looked++;
        if (seal.no() != next) faults.add("seal " + next + " is gone");
        else if (!seal.before().equals(before))
          faults.add("seal " + seal.no() + " does not follow from the one before it");
        if (!seal.hash().equals(written.hash()))
          faults.add("seal " + seal.no() + " of " + seal.at() + " is not as it was written");
        List<Leaf> leaves = seals.leaves(seal.no());
        if (leaves.size() != seal.leaves())
          faults.add(
              "seal " + seal.no() + " had " + seal.leaves() + " leaves, and has " + leaves.size());
        else if (!MerkleTree.root(leaves).equals(seal.root()))
          faults.add("leaves of seal " + seal.no() + " are not those it was made over");
        before = written.hash();
        next = seal.no() + 1;
      }
    return new Verified("each seal follows from its leaves and the seal before it", looked, faults);
  }

  private record Kept(Leaf leaf, long seal) {}

  /** In several threads, unless it is part of a transaction, whose view is one thread's. */
  private Verified content(Sealed kind) {
    Bounds bounds = bounds(kind);
    List<Long> starts = new ArrayList<>();
    for (long from = bounds.first; from <= bounds.last; from += STEP) starts.add(from);
    Stream<Long> ranges =
        TransactionSynchronizationManager.isActualTransactionActive()
            ? starts.stream()
            : starts.parallelStream();
    List<Looked> parts =
        ranges
            .map(
                AtBook.carried(
                    (Long from) -> looked(kind, from, Math.min(bounds.last, from + STEP - 1))))
            .toList();
    return new Verified(
        "each sealed " + kind.kind() + " is as it was sealed",
        parts.stream().mapToLong(Looked::count).sum(),
        parts.stream().flatMap(p -> p.faults.stream()).toList());
  }

  private record Looked(long count, List<String> faults) {}

  private Looked looked(Sealed kind, long from, long to) {
    Map<Long, Kept> sealed = sealed(kind, from, to);
    if (sealed.isEmpty()) return new Looked(0, List.of());
    Map<Long, Leaf> now = kind.leaves(from, to);
    Map<Long, List<Change>> changes = changes(kind, from, to);
    Map<Long, String> wrong = new TreeMap<>();
    sealed.forEach(
        (id, kept) -> {
          String says = fault(kept.leaf, now.get(id), changes.getOrDefault(id, List.of()));
          if (!says.isEmpty()) wrong.put(id, says + " (seal " + kept.seal + ")");
        });
    if (wrong.isEmpty()) return new Looked(sealed.size(), List.of());
    Map<Long, String> names = kind.names(new ArrayList<>(wrong.keySet()));
    return new Looked(
        sealed.size(),
        wrong.entrySet().stream()
            .map(
                w ->
                    names.getOrDefault(w.getKey(), kind.kind() + " " + w.getKey())
                        + ": "
                        + w.getValue())
            .toList());
  }

  private static String fault(Leaf sealed, @Nullable Leaf now, List<Change> changes) {
    if (now == null) return "is gone";
    if (!now.figures().equals(sealed.figures())) return "its figures are not those sealed";
    Hash words = sealed.words();
    for (Change change : changes) {
      if (!change.was.equals(words))
        return "a change of its words does not follow from what was sealed";
      words = change.becomes;
    }
    return now.words().equals(words) ? "" : "its words are not those sealed";
  }

  private record Bounds(long first, long last) {}

  private Bounds bounds(Sealed kind) {
    return sql.sql(
            "select coalesce(min(of_id), 1), coalesce(max(of_id), 0) from seal_leaf where kind = ?")
        .param(kind.kind())
        .query((row, n) -> new Bounds(row.getLong(1), row.getLong(2)))
        .single();
  }

  private Map<Long, Kept> sealed(Sealed kind, long from, long to) {
    Map<Long, Kept> sealed = new HashMap<>();
    sql.sql(
            "select of_id, figures, words, seal_no from seal_leaf"
                + " where kind = ? and of_id between ? and ?")
        .params(kind.kind(), from, to)
        .query(
            (row, n) ->
                sealed.put(
                    row.getLong(1),
                    new Kept(
                        new Leaf(new Hash(row.getBytes(2)), new Hash(row.getBytes(3))),
                        row.getLong(4))))
        .list();
    return sealed;
  }

  private record Change(Hash was, Hash becomes) {}

  private Map<Long, List<Change>> changes(Sealed kind, long from, long to) {
    Map<Long, List<Change>> changes = new HashMap<>();
    sql.sql(
            "select of_id, was, becomes from seal_change where kind = ? and of_id between ? and ?"
                + " order by id")
        .params(kind.kind(), from, to)
        .query(
            (row, n) ->
                changes
                    .computeIfAbsent(row.getLong(1), id -> new ArrayList<>())
                    .add(new Change(new Hash(row.getBytes(2)), new Hash(row.getBytes(3)))))
        .list();
    return changes;
  }

  /**
   * What a seal takes was entered since the seal before it, two hours of a clock put back aside;
   * seals that follow a full one go on with what that one began. And nothing is left out.
   */
  private Verified inOrder() {
    List<String> faults =
        new ArrayList<>(
            sql.sql(
                    """
                    select concat(p.number, ': seal ', s.no, ' says it was entered ', t.at,
                      ', before seal ', b.no, ' of ', b.at)
                    from seal s join seal b on b.no = s.no - 1 and b.leaves < :most
                    join seal_leaf l on l.seal_no = s.no and l.kind = 'posting'
                    join posting t on t.id = l.of_id and t.at < b.at - interval 2 hour
                    join paper p on p.id = t.paper_id limit 20
                    """)
                .param("most", Sealer.MOST)
                .query(String.class)
                .list());
    for (Sealed kind : kinds)
      faults.addAll(
          sql.sql(
                  "select concat(:kind, ' ', t.id, ' is not sealed, though later ones are') from "
                      + kind.table()
                      + " t left join seal_leaf l on l.kind = :kind and l.of_id = t.id"
                      + " where l.of_id is null and t.at < (select max(at) from seal)"
                      + " - interval 1 day limit 20")
              .param("kind", kind.kind())
              .query(String.class)
              .list());
    long looked = sql.sql("select count(*) from posting").query(Long.class).single();
    return new Verified(
        "what is sealed was entered since the seal before, and all is sealed", looked, faults);
  }

  /** Which months are closed follows from the audit trail, whose lines are sealed. */
  private Verified closings() {
    List<String> faults =
        new ArrayList<>(
            sql.sql(
                    """
                    select concat(coalesce(a.month, p.month), ': ',
                      if(p.month is null, 'is open, and the audit trail says it was closed',
                        'is closed, and the audit trail does not say so'))
                    from (select substring_index(substring_index(what, ' ', 2), ' ', -1) as month, id, what
                      from audit where subject = 'period' and (what like 'closed %' or what like 'opened %')) a
                    left join period p on date_format(p.month, '%Y-%m') = a.month
                    where a.id = (select max(b.id) from audit b where b.subject = 'period'
                        and (b.what = concat('closed ', a.month) or b.what = concat('opened ', a.month, ' again')))
                      and (a.what like 'closed %') <> (p.month is not null)
                    union all
                    select concat(date_format(p.month, '%Y-%m'), ': is closed, and the audit trail does not say so')
                    from period p where not exists (select 1 from audit a where a.subject = 'period'
                      and a.what = concat('closed ', date_format(p.month, '%Y-%m')))
                    union all
                    select concat('the book is closed to ', coalesce(b.closed_to, 'no day'), ', its last closed month ends ',
                      coalesce(last_day(m.month), 'on no day'))
                    from book b, (select max(month) as month from period) m
                    where not (b.closed_to <=> last_day(m.month))
                    union all
                    select concat(date_format(p.month, '%Y-%m'), ': the seal of its closing is gone')
                    from period p where p.seal_no is not null
                      and not exists (select 1 from seal s where s.no = p.seal_no)
                    """)
                .query(String.class)
                .list());
    long looked = sql.sql("select count(*) from period").query(Long.class).single();
    return new Verified("months are closed as the audit trail says", looked, faults);
  }
}
