package zinctally.store.sell;

import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Sales and their cost by month. Amounts are minor units. */
@Repository
public class SalesStore {
  private final JdbcClient sql;

  SalesStore(JdbcClient sql) {
    this.sql = sql;
  }

  public record Month(LocalDate month, long sales, long cost) {
    public long margin() {
      return sales - cost;
    }
  }

  /** The last months up to a day's, from month totals. */
  public List<Month> months(LocalDate to, int count) {
    return sql.sql(
            """
            select m.month, sum(if(a.kind = 'INCOME', m.credit - m.debit, 0)),
              sum(if(a.role = 'COST_OF_GOODS_SOLD', m.debit - m.credit, 0))
            from account a join account_month m on m.account_id = a.id
            where (a.kind = 'INCOME' or a.role = 'COST_OF_GOODS_SOLD')
              and m.month between :first and :last
            group by m.month order by m.month
            """)
        .param("first", to.withDayOfMonth(1).minusMonths(count - 1L))
        .param("last", to.withDayOfMonth(1))
        .query(
            (row, n) ->
                new Month(row.getObject(1, LocalDate.class), row.getLong(2), row.getLong(3)))
        .list();
  }
}
