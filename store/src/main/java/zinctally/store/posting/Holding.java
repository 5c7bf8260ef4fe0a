package zinctally.store.posting;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToLongFunction;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.Retrying;
import zinctally.store.book.BookCatalogue;

/**
 * Holds what a posting, an amendment or a voiding will change, before anything is read that it is
 * decided by. The order is always the same: draft, the paper itself, book, party, papers gone on
 * from, items, what is awaited, open items; each set in the order of its ids.
 */
@Component
class Holding {
  private static final List<String> NAMING = List.of("of", "paper", "bill");
  private final JdbcClient sql;
  private final Retrying retrying;

  Holding(JdbcClient sql, Retrying retrying) {
    this.sql = sql;
    this.retrying = retrying;
  }

  /** Says that the work touches more than is held; it begins anew, holding these items too. */
  static final class LookAgain extends RuntimeException {
    private final transient Set<Long> items;

    LookAgain(Collection<Long> items) {
      super("more is touched than is held", null, false, false);
      this.items = Set.copyOf(items);
    }

    Set<Long> items() {
      return items;
    }
  }

  /** In a transaction of its own, anew whenever more turns out to be touched than was held. */
  long work(ToLongFunction<Set<Long>> work) {
    Set<Long> items = new TreeSet<>();
    while (true)
      try {
        return retrying.run(() -> work.applyAsLong(items));
      } catch (LookAgain more) {
        if (!items.addAll(more.items())) throw more;
      }
  }

  /**
   * Holds what a draft speaks of.
   *
   * @param own the posted paper it amends; zero for none
   * @param items ids of the items it names, and others that turned out to be touched
   * @param book knows the items held, as they are then
   * @return ids of all items held
   */
  Set<Long> ofPosting(Draft draft, long own, Collection<Long> items, BookCatalogue book) {
    party(draft, book);
    return hold(own, named(draft), items, book);
  }

  /**
   * Whom a paper asks something about: their number on another paper, what they may owe. Who may
   * owe any amount is not held, so that sales to them do not wait for each other; a limit is set
   * only while nobody posts.
   */
  private void party(Draft draft, BookCatalogue book) {
    if (!draft.kind().is(Trait.ASKS_OF_PARTY) || draft.party().isEmpty()) return;
    book.party(draft.kind().side().orElseThrow(), draft.party())
        .filter(p -> p.kind() == Party.Kind.SUPPLIER || book.creditLimit(p.id()).isPresent())
        .ifPresent(
            p ->
                sql.sql("select id from party where id = ? for update")
                    .param(p.id())
                    .query(Long.class)
                    .single());
  }

  /** Holds what a posted paper has done, for it to be voided or ended. */
  Set<Long> ofPosted(long own, Collection<Long> items, BookCatalogue book) {
    return hold(own, List.of(), items, book);
  }

  private Set<Long> hold(long own, List<Long> named, Collection<Long> items, BookCatalogue book) {
    TreeSet<Long> held = new TreeSet<>(items);
    if (own != 0 || !named.isEmpty()) held.addAll(itemsOf(own, named));
    held.removeIf(id -> id <= 0);
    book.hold(held);
    if (own != 0 || !named.isEmpty()) awaited(own, named, held);
    if (own != 0) openItems(own);
    return held;
  }

  /** The papers a draft goes on from, held. */
  private List<Long> named(Draft draft) {
    List<String> numbers =
        Stream.concat(
                Stream.of("work_order", "transfer", "repair").map(draft::field),
                draft.rows().stream()
                    .flatMap(row -> NAMING.stream().map(c -> row.getOrDefault(c, "").strip())))
            .filter(n -> !n.isEmpty())
            .distinct()
            .toList();
    if (numbers.isEmpty()) return List.of();
    return sql.sql("select id from paper where number in (:numbers) order by id for update")
        .param("numbers", numbers)
        .query(Long.class)
        .list();
  }

  private Set<Long> itemsOf(long own, List<Long> named) {
    List<Long> papers = Stream.concat(Stream.of(own), named.stream()).toList();
    return new HashSet<>(
        sql.sql(
                """
                select l.item_id from paper p join paper_line l on l.paper_id = p.id
                  and l.version = p.version where p.id in (:papers) and l.item_id is not null
                union select item_id from awaited where paper_id in (:papers)
                union select item_id from awaited where order_paper in (:named)
                union select a.item_id from fulfilment f join awaited a on a.id = f.awaited_id
                  where f.paper_id = :own
                union select item_id from cost_event where paper_id = :own and not gone
                union select item_id from quantity_move where paper_id = :own
                """)
            .param("papers", papers)
            .param("named", named.isEmpty() ? List.of(0L) : named)
            .param("own", own)
            .query(Long.class)
            .list());
  }

  private void awaited(long own, List<Long> named, Set<Long> held) {
    List<Long> papers = Stream.concat(Stream.of(own), named.stream()).toList();
    List<Long> ids =
        sql.sql(
                """
                select id from awaited where paper_id in (:papers)
                union select id from awaited where order_paper in (:named)
                union select awaited_id from fulfilment where paper_id = :own
                """)
            .param("papers", papers)
            .param("named", named.isEmpty() ? List.of(0L) : named)
            .param("own", own)
            .query(Long.class)
            .list();
    if (ids.isEmpty()) return;
    List<Long> items =
        sql.sql("select item_id from awaited where id in (:ids) order by id for update")
            .param("ids", ids)
            .query(Long.class)
            .list();
    if (!held.containsAll(items)) throw new LookAgain(items);
  }

  private void openItems(long own) {
    List<Long> ids =
        sql.sql(
                "select id from open_item where paper_id = :own"
                    + " union select open_item_id from settlement where paper_id = :own")
            .param("own", own)
            .query(Long.class)
            .list();
    if (!ids.isEmpty())
      sql.sql("select id from open_item where id in (:ids) order by id for update")
          .param("ids", ids)
          .query(Long.class)
          .list();
  }
}
