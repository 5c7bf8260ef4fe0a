package zinctally.store.prove;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Where the value of stock came from and went. */
@Repository
public class BridgeStore {
  private final JdbcClient sql;

  BridgeStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * A step from what stock was worth to what it is worth.
   *
   * @param amount minor units; the first and the last are what it was worth, the others changed it
   */
  public record Step(String words, long amount) {}

  /**
   * From the end of the day before to the end of the last. A later change of a cost belongs to what
   * it is a cost of: to the sale, not to the bill that told it.
   */
  public List<Step> bridge(LocalDate from, LocalDate to) {
    return sql.sql(
            """
            select
              (select coalesce(sum(value), 0) from stock_month where month < :month)
              + (select coalesce(sum(value), 0) from cost_entry
                 where posting_date >= :month and posting_date < :from),
              coalesce(sum(if(k.opening or k.opens, n.value, 0)), 0),
              coalesce(sum(if(k.side = 'SUPPLIER', n.value, 0)), 0),
              coalesce(sum(if(k.side = '' and not (k.opening or k.opens) and m.paper_id is not null, n.value, 0)), 0),
              coalesce(sum(if(k.side = 'CUSTOMER', n.value, 0)), 0),
              coalesce(sum(if(k.side = '' and not (k.opening or k.opens) and m.paper_id is null, n.value, 0)), 0),
              coalesce(sum(n.value), 0)
            from (select e.paper_id, sum(c.value) as value
              from cost_entry c join cost_event e on e.id = c.event_id
              where c.posting_date between :from and :to group by e.paper_id) n
            join paper p on p.id = n.paper_id join paper_kind k on k.kind = p.kind
            left join making m on m.paper_id = p.id
            """)
        .param("month", from.withDayOfMonth(1))
        .param("from", from)
        .param("to", to)
        .query(
            (row, n) ->
                List.of(
                    new Step("Before", row.getLong(1)),
                    new Step("Taken over", row.getLong(2)),
                    new Step("Bought", row.getLong(3)),
                    new Step("Made", row.getLong(4)),
                    new Step("Sold", row.getLong(5)),
                    new Step("Found, lost, written down", row.getLong(6)),
                    new Step("At the end", row.getLong(1) + row.getLong(7))))
        .single();
  }
}
