package zinctally.store.book;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.papers.Catalogue;

/** Finds what items cost. */
final class CostLookup {
  private final JdbcClient sql;
  private final Map<Long, Optional<Catalogue.LatestCost>> present = new HashMap<>();

  CostLookup(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * What an item costs now; with it, at one go, what the others do.
   *
   * @param others ids of items that are likely to be asked about next
   */
  Optional<Catalogue.LatestCost> present(long item, Collection<Long> others) {
    if (!present.containsKey(item))
      load(
          Stream.concat(Stream.of(item), others.stream())
              .filter(one -> !present.containsKey(one))
              .distinct()
              .toList());
    return present.get(item);
  }

  private void load(List<Long> items) {
    items.forEach(item -> present.put(item, Optional.empty()));
    sql.sql(
            """
            select item_id, if(on_hand > 0, worth, latest_value),
              if(on_hand > 0, on_hand, latest_quantity)
            from cost_pool where item_id in (:items) and (on_hand > 0 or latest_quantity > 0)
            """)
        .param("items", items)
        .query(
            (row, n) ->
                present.put(
                    row.getLong(1),
                    Optional.of(new Catalogue.LatestCost(row.getLong(2), row.getLong(3)))))
        .list();
  }

  Optional<Catalogue.LatestCost> latest(long item) {
    return sql.sql(
            "select latest_value, latest_quantity from cost_pool"
                + " where item_id = ? and latest_quantity > 0")
        .param(item)
        .query((row, n) -> new Catalogue.LatestCost(row.getLong(1), row.getLong(2)))
        .optional();
  }

  Catalogue.Standing standing(long item, LocalDate date) {
    long writtenDown =
        sql.sql("select written_down from cost_pool where item_id = ?")
            .param(item)
            .query(Long.class)
            .optional()
            .orElse(0L);
    return sql.sql(
            """
            select coalesce(sum(quantity), 0), coalesce(sum(value), 0) from (
              select quantity, value from item_month where item_id = :item and month < :month
              union all
              select quantity, value from cost_entry
              where item_id = :item and posting_date between :month and :date) t
            """)
        .param("item", item)
        .param("month", date.withDayOfMonth(1))
        .param("date", date)
        .query((row, n) -> new Catalogue.Standing(row.getLong(1), row.getLong(2), writtenDown))
        .single();
  }
}
