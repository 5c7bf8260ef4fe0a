package zinctally.store.book;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.papers.Catalogue;
import zinctally.store.sql.Waiting;

/**
 * Finds what of an item is free and what is promised, as if the paper being amended had moved none.
 */
final class PromiseLookup {
  private final JdbcClient sql;
  private final long amends;
  private final Map<List<Long>, Catalogue.Promised> promises = new HashMap<>();

  /** Items that were asked about, and those of them of which anything is promised. */
  private final Set<Long> looked = new HashSet<>();

  private final Set<Long> promisedItems = new HashSet<>();

  PromiseLookup(JdbcClient sql, long amends) {
    this.sql = sql;
    this.amends = amends;
  }

  Catalogue.Free free(long item, long place) {
    return sql.sql(
            """
            select
              (select coalesce(sum(quantity), 0) from place_stock
               where item_id = :item and place_id = :place) as here,
              (select coalesce(sum(s.quantity), 0) from place_stock s
               join place p on p.id = s.place_id and (p.for_sale or p.id = :place)
               where s.item_id = :item) as everywhere,
              (select coalesce(sum(a.open_quantity), 0) from awaited a
               where a.item_id = :item and a.paper_id <> :amends and %s) as promised,
              (select coalesce(sum(a.open_quantity), 0) from awaited a
               where a.item_id = :item and %s) as on_order,
              (select min(d.expected) from awaited a join order_head d on d.paper_id = a.paper_id
               where a.item_id = :item and a.what = 'ORDERED_GOODS' and a.open_quantity > 0)
                as expected
            """
                .formatted(Waiting.PROMISED, Waiting.ON_ORDER))
        .param("item", item)
        .param("place", place)
        .param("amends", amends)
        .query(
            (row, n) ->
                new Catalogue.Free(
                    Math.max(0, row.getLong(1) - row.getLong(3)),
                    Math.max(0, row.getLong(2) - row.getLong(3)),
                    row.getLong(4),
                    row.getObject(5, LocalDate.class)))
        .single();
  }

  /**
   * @param others ids of items that are likely to be asked about next
   */
  Catalogue.Promised promised(long item, long place, long order, Collection<Long> others) {
    if (!looked.contains(item)) look(item, others);
    if (!promisedItems.contains(item)) return new Catalogue.Promised(0, 0, "");
    return promises.computeIfAbsent(
        List.of(item, place, order), k -> readPromised(item, place, order));
  }

  private void look(long item, Collection<Long> others) {
    Set<Long> asked = new TreeSet<>(others);
    asked.add(item);
    asked.removeAll(looked);
    looked.addAll(asked);
    promisedItems.addAll(
        sql.sql(
                "select distinct a.item_id from awaited a where a.item_id in (:items) and "
                    + Waiting.PROMISED)
            .param("items", asked)
            .query(Long.class)
            .list());
  }

  private Catalogue.Promised readPromised(long item, long place, long order) {
    return sql.sql(
            """
            select coalesce(max(s.quantity), 0), coalesce(sum(o.open_quantity), 0),
              coalesce(substring_index(group_concat(concat(o.number, ' of ', o.date)
                order by o.date, o.id separator '|'), '|', 1), '')
            from (select quantity from place_stock where item_id = :item and place_id = :place) s
            left join (
              select a.open_quantity, p.number, p.date, p.id from awaited a
              join paper p on p.id = a.paper_id and p.state = 'POSTED' and p.place_id = :place
              where a.item_id = :item and p.id not in (:order, :amends) and %s
                and (:order = 0 or (p.date, p.id) <
                  (select b.date, b.id from paper b where b.id = :order))) o on true
            """
                .formatted(Waiting.PROMISED))
        .param("item", item)
        .param("place", place)
        .param("order", order)
        .param("amends", amends)
        .query(
            (row, n) ->
                new Catalogue.Promised(
                    row.getLong(1) + moved(item, place), row.getLong(2), row.getString(3)))
        .single();
  }

  /** Millionths of an item at a place. */
  long here(long item, long place) {
    return sql.sql("select quantity from place_stock where item_id = ? and place_id = ?")
        .params(item, place)
        .query(Long.class)
        .optional()
        .orElse(0L);
  }

  /** What the paper being amended has taken from a place, millionths. */
  private long moved(long item, long place) {
    if (amends == 0) return 0;
    return sql.sql(
            "select coalesce(-sum(quantity), 0) from quantity_move"
                + " where paper_id = ? and item_id = ? and place_id = ?")
        .params(amends, item, place)
        .query(Long.class)
        .single();
  }
}
