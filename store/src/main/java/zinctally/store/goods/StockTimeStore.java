package zinctally.store.goods;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** How much of an item was there day by day, and what changed it. */
@Repository
public class StockTimeStore {
  private final JdbcClient sql;

  StockTimeStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Why there is more or less of an item. */
  public enum Why {
    CAME,
    SOLD,
    COUNTED,
    OTHER
  }

  /**
   * What changed on one day for one reason.
   *
   * @param quantity signed millionths
   */
  public record Change(LocalDate day, Why why, long quantity) {}

  /** What of ours came and went since a day, in the order of days. */
  public List<Change> since(long item, LocalDate from) {
    return sql.sql(
            """
            select m.date, case when k.side = 'CUSTOMER' then 'SOLD'
                when k.side = 'SUPPLIER' then 'CAME'
                when exists (select 1 from count_sheet s where s.paper_id = q.id) then 'COUNTED'
                else 'OTHER' end as why,
              sum(m.quantity) as moved
            from quantity_move m join place p on p.id = m.place_id and p.owner_id is null
            join paper q on q.id = m.paper_id join paper_kind k on k.kind = q.kind
            where m.item_id = ? and m.date >= ?
            group by m.date, why having moved <> 0 order by m.date
            """)
        .params(item, from)
        .query(
            (row, n) ->
                new Change(
                    row.getObject(1, LocalDate.class),
                    Why.valueOf(row.getString(2)),
                    row.getLong(3)))
        .list();
  }

  /** Days on which it was counted and nothing was apart, since a day. */
  public List<LocalDate> counted(long item, LocalDate from) {
    return sql.sql(
            """
            select distinct s.date from count_line l join count_sheet s on s.id = l.sheet_id
            where l.item_id = ? and l.counted is not null and s.state = 'POSTED' and s.date >= ?
            order by s.date
            """)
        .params(item, from)
        .query(LocalDate.class)
        .list();
  }

  /** Days on which some of it was ordered of a supplier, since a day. */
  public List<LocalDate> ordered(long item, LocalDate from) {
    return sql.sql(
            """
            select distinct p.date from awaited a join paper p on p.id = a.paper_id
              and p.state = 'POSTED' and p.date >= ?
            where a.item_id = ? and a.what = 'ORDERED_GOODS' order by p.date
            """)
        .params(from, item)
        .query(LocalDate.class)
        .list();
  }
}
