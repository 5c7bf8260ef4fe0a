package zinctally.store.sell;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.listing.Listing;
import zinctally.store.listing.TaxListings;

/** Which rate of tax a sale usually bears, and how the report ties out. */
@Repository
public class TaxStore {
  private final JdbcClient sql;

  TaxStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * The rate's code by item: the customer's own, else the item's, else the place's.
   *
   * @param customerRate zero for none of their own
   */
  public Map<Long, String> usual(List<Long> items, long customerRate, String place) {
    Map<Long, String> usual = new HashMap<>();
    if (items.isEmpty()) return usual;
    sql.sql(
            """
            select i.id, t.code from item i
            join tax_rate t on t.active and t.id = coalesce(nullif(:customer, 0), i.tax_rate_id,
              (select tax_rate_id from place where name = :place))
            where i.id in (:items)
            """)
        .param("customer", customerRate)
        .param("place", place)
        .param("items", items)
        .query((row, n) -> usual.put(row.getLong(1), row.getString(2)))
        .list();
    return usual;
  }

  /** The code of an item's own rate; empty for none. */
  public String ofItem(long item) {
    return sql.sql(
            "select t.code from item i join tax_rate t on t.id = i.tax_rate_id where i.id = ?")
        .param(item)
        .query(String.class)
        .optional()
        .orElse("");
  }

  /** Gives an item a rate by its code; an empty or unknown one takes it away. */
  public void ofItem(long item, String code) {
    sql.sql("update item set tax_rate_id = (select id from tax_rate where code = ?) where id = ?")
        .params(code, item)
        .update();
  }

  /** Gives a place a rate for items that have none; an empty code takes it away. */
  public void ofPlace(String place, String code) {
    sql.sql(
            "update place set tax_rate_id = (select id from tax_rate where code = ?) where name = ?")
        .params(code, place)
        .update();
  }

  /**
   * Tax of some days, minor units.
   *
   * @param sales what the sales tax accounts grew by
   * @param purchases what the purchase tax accounts grew by
   * @param lines what the report's lines come to, sales less purchases
   */
  public record TieOut(long sales, long purchases, long lines) {
    public long toPay() {
      return sales - purchases;
    }

    public long apart() {
      return toPay() - lines;
    }
  }

  /** The tax accounts against the lines of the report. */
  public TieOut tieOut(LocalDate from, LocalDate to) {
    Listing byRate = TaxListings.byRate(from, to);
    long lines =
        sql.sql(
                "select coalesce(sum(if(t.side = 'sales', t.tax, -t.tax)), 0) from "
                    + byRate.from())
            .params(byRate.params())
            .query(Long.class)
            .single();
    return sql.sql(
            """
            select coalesce(sum(if(a.role = 'SALES_TAX', -l.amount, 0)), 0),
              coalesce(sum(if(a.role = 'PURCHASE_TAX', l.amount, 0)), 0)
            from account a
            join journal_line l on l.account_id = a.id and l.date between ? and ?
            where a.role in ('SALES_TAX', 'PURCHASE_TAX')
            """)
        .params(from, to)
        .query((row, n) -> new TieOut(row.getLong(1), row.getLong(2), lines))
        .single();
  }
}
