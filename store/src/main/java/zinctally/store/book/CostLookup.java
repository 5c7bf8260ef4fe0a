package zinctally.store.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.stock.StartTracking;

/** Finds what items cost. */
final class CostLookup {
  private final JdbcClient sql;

  private final long amends;

  private final Map<Long, Optional<Catalogue.LatestCost>> present = new HashMap<>();

  CostLookup(JdbcClient sql, long amends) {
    this.sql = sql;
    this.amends = amends;
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
    return Objects.requireNonNull(present.get(item));
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

  Catalogue.Worth worth(long item, LocalDate date) {
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
        .query((row, n) -> new Catalogue.Worth(row.getLong(1), row.getLong(2), writtenDown))
        .single();
  }

  /** What other papers have opened of an item by the first day, millionths. */
  long opened(long item, LocalDate cutOver) {
    return sql.sql(
            """
            select coalesce(sum(e.quantity), 0) from cost_event e
            join paper p on p.id = e.paper_id join paper_kind k on k.kind = p.kind and k.opens
            where e.item_id = ? and e.date <= ? and not e.gone and e.paper_id <> ?
            """)
        .params(item, cutOver, amends)
        .query(Long.class)
        .single();
  }

  List<StartTracking.Sold> soldSince(long item, LocalDate date) {
    return sql.sql(
            """
            select p.id, p.date, p.sequence, l.line, l.place_id, w.name, l.quantity
            from paper_line l join paper p on p.id = l.paper_id and p.version = l.version
            join paper_kind k on k.kind = p.kind and k.sale > 0 join place w on w.id = l.place_id
            where l.item_id = ?
              and p.state = 'POSTED' and p.date >= ?
              and not exists (select 1 from cost_event e
                              where e.paper_id = p.id and e.line = l.line and not e.gone)
            order by p.date, p.sequence, l.line
            """)
        .params(item, date)
        .query(
            (row, n) ->
                new StartTracking.Sold(
                    row.getLong(1),
                    new Position(
                        row.getObject(2, LocalDate.class),
                        row.getLong(3),
                        new Spot(row.getInt(4), 0)),
                    row.getLong(5),
                    row.getString(6),
                    row.getLong(7)))
        .list();
  }

  Map<Long, List<Catalogue.LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals) {
    Map<Long, List<Catalogue.LateCharge>> charges = new HashMap<>();
    if (arrivals.isEmpty()) return charges;
    sql.sql(
            """
            select c.target_id, p.number, c.date from cost_event c join paper p on p.id = c.paper_id
            where c.target_id in (:arrivals) and c.kind = 'CHARGE' and not c.gone and c.date > :date
            order by c.date, c.id
            """)
        .param("arrivals", arrivals)
        .param("date", date)
        .query(
            (row, n) ->
                charges
                    .computeIfAbsent(row.getLong(1), e -> new ArrayList<>())
                    .add(
                        new Catalogue.LateCharge(
                            row.getString(2), row.getObject(3, LocalDate.class))))
        .list();
    return charges;
  }
}
