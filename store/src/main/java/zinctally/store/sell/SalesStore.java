package zinctally.store.sell;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.listing.Listing;
import zinctally.store.listing.SalesListings;

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

    /** The margin as a share of sales, to one place; zero where nothing was sold. */
    public BigDecimal percent() {
      return share(margin(), sales);
    }
  }

  /**
   * An item, what was sold of it, and what of it is in stock now.
   *
   * @param net minor units sold without tax, returns taken off
   * @param worth minor units
   */
  public record Sold(long item, String name, long net, long cost, long worth) {
    /** The margin as a share of what was sold, to one place; zero where nothing was. */
    public BigDecimal percent() {
      return share(net - cost, net);
    }
  }

  private static BigDecimal share(long margin, long of) {
    return of == 0
        ? BigDecimal.ZERO
        : BigDecimal.valueOf(margin)
            .multiply(BigDecimal.valueOf(100))
            .divide(BigDecimal.valueOf(of), 1, RoundingMode.HALF_UP);
  }

  /** Items that were sold in some days or are in stock, those with the most of both first. */
  public List<Sold> sold(LocalDate from, LocalDate to, int most) {
    Listing all = SalesListings.map(from, to);
    return sql.sql(
            "select s.k, s.name, s.net, s.cost, s.worth from "
                + all.from()
                + " order by greatest(s.net, s.worth) desc, s.k limit :most")
        .params(all.params())
        .param("most", most)
        .query(
            (row, n) ->
                new Sold(
                    row.getLong(1),
                    row.getString(2),
                    row.getLong(3),
                    row.getLong(4),
                    row.getLong(5)))
        .list();
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
