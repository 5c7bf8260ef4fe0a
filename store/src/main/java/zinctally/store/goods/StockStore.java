package zinctally.store.goods;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Coin;
import zinctally.store.listing.ValuationListings;
import zinctally.store.sql.Waiting;

/** What stock there is of items, and how it came and went. */
@Repository
public class StockStore {
  private final JdbcClient sql;

  StockStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param onHand millionths
   * @param worth minor units
   */
  public record Stock(long onHand, long worth, List<AtPlace> places) {}

  public record AtPlace(String place, long quantity) {}

  public Stock stock(long item) {
    List<AtPlace> places =
        sql.sql(
                """
                select p.name, s.quantity from place_stock s join place p on p.id = s.place_id
                where s.item_id = ? and s.quantity <> 0 order by p.name
                """)
            .param(item)
            .query((row, n) -> new AtPlace(row.getString(1), row.getLong(2)))
            .list();
    return sql.sql("select on_hand, worth from cost_pool where item_id = ?")
        .param(item)
        .query((row, n) -> new Stock(row.getLong(1), row.getLong(2), places))
        .optional()
        .orElse(new Stock(0, 0, places));
  }

  /**
   * One line of an item's history, with running totals.
   *
   * @param moved millionths, in above zero
   * @param value minor units
   */
  public record Movement(
      LocalDate date,
      long paper,
      String number,
      String kind,
      String party,
      long causeId,
      String cause,
      long moved,
      long value,
      long onHand,
      long worth) {}

  /** The latest cost entries, newest first; totals run back from what is there now. */
  public List<Movement> movements(long item, int atMost) {
    return sql.sql(
            """
            select n.posting_date, n.quantity, n.value, p.id, p.number, p.kind, w.name as party,
              c.id as cause_id, c.number as cause, h.on_hand, h.worth,
              coalesce(sum(n.quantity) over later, 0) as later_quantity,
              coalesce(sum(n.value) over later, 0) as later_value
            from (select * from cost_entry where item_id = :item
                  order by posting_date desc, id desc limit :most) n
            join cost_event e on e.id = n.event_id join paper p on p.id = e.paper_id
            join paper c on c.id = n.cause_id join cost_pool h on h.item_id = n.item_id
            left join party w on w.id = p.party_id
            window later as (order by n.posting_date desc, n.id desc
                             rows between unbounded preceding and 1 preceding)
            order by n.posting_date desc, n.id desc
            """)
        .param("item", item)
        .param("most", atMost)
        .query(
            (row, n) ->
                new Movement(
                    row.getObject("posting_date", LocalDate.class),
                    row.getLong("id"),
                    row.getString("number"),
                    row.getString("kind"),
                    row.getString("party"),
                    row.getLong("cause_id"),
                    row.getString("cause"),
                    row.getLong("quantity"),
                    row.getLong("value"),
                    row.getLong("on_hand") - row.getLong("later_quantity"),
                    row.getLong("worth") - row.getLong("later_value")))
        .list();
  }

  /**
   * Stock of items at a place, and there and wherever goods are for sale, millionths.
   *
   * @param promises whether what is promised to customers is taken off
   */
  public List<Free> free(List<Long> items, String place, boolean promises) {
    if (items.isEmpty()) return List.of();
    return sql.sql(
            """
            select s.item_id,
              sum(s.quantity) - coalesce(max(a.promised), 0) as everywhere,
              sum(case when p.name = :place then s.quantity else 0 end)
                - coalesce(max(a.promised), 0) as here
            from place_stock s
            join place p on p.id = s.place_id and (p.for_sale or p.name = :place)
            left join (select a.item_id, sum(a.open_quantity) as promised from awaited a
                       where a.item_id in (:items) and %s
                       group by a.item_id) a on :promises and a.item_id = s.item_id
            where s.item_id in (:items) group by s.item_id
            """
                .formatted(Waiting.PROMISED))
        .param("items", items)
        .param("place", place)
        .param("promises", promises)
        .query((row, n) -> new Free(row.getLong(1), row.getLong(3), row.getLong(2)))
        .list();
  }

  /** Millionths here and everywhere. */
  public record Free(long item, long here, long everywhere) {}

  /** An item and its price in the first list. */
  public record Proposal(String code, BigDecimal price) {}

  /** Items whose worth is not what they would fetch, for a write-down. */
  public List<Proposal> toWriteDown(BigDecimal percent, Coin coin, int atMost) {
    var listing = ValuationListings.writeDowns(percent, coin);
    return sql.sql("select i.code, p.price from " + listing.from() + " order by i.code limit :most")
        .params(listing.params())
        .param("most", atMost)
        .query((row, n) -> new Proposal(row.getString(1), row.getBigDecimal(2)))
        .list();
  }
}
