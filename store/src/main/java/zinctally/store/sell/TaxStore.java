package zinctally.store.sell;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.sql.AccountLines;

/** Which rate of tax a line usually bears, and how the report ties out. */
@Repository
public class TaxStore {
  private final JdbcClient sql;

  TaxStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Codes of the rates that lines usually bear; empty for none.
   *
   * @param items by item: the party's own, else the item's, else the place's, else the book's
   * @param accounts by account: the party's own, else the account's, else as other lines
   * @param others of other lines: the party's own, else the place's, else the book's
   */
  public record Usual(Map<Long, String> items, Map<Long, String> accounts, String others) {
    public String ofItem(long item) {
      return items.getOrDefault(item, others);
    }

    public String ofAccount(long account) {
      return accounts.getOrDefault(account, others);
    }
  }

  /**
   * @param partyRate zero for none of their own
   * @param place empty where its rate does not count
   */
  public Usual usual(
      Collection<Long> items, Collection<Long> accounts, long partyRate, String place) {
    String others =
        sql.sql(
                """
                select t.code from tax_rate t where t.active and t.id = coalesce(nullif(?, 0),
                  (select tax_rate_id from place where name = ?), (select tax_rate_id from book))
                """)
            .params(partyRate, place)
            .query(String.class)
            .optional()
            .orElse("");
    boolean same = partyRate != 0 && !others.isEmpty();
    return new Usual(
        same ? Map.of() : own("item", items), same ? Map.of() : own("account", accounts), others);
  }

  /** The codes that rows of a table name themselves. */
  private Map<Long, String> own(String table, Collection<Long> ids) {
    Map<Long, String> own = new HashMap<>();
    if (ids.isEmpty()) return own;
    sql.sql(
            "select o.id, t.code from "
                + table
                + " o join tax_rate t on t.active and t.id = o.tax_rate_id where o.id in (:ids)")
        .param("ids", ids)
        .query((row, n) -> own.put(row.getLong(1), row.getString(2)))
        .list();
    return own;
  }

  /** The codes of all accounts that have a usual rate. */
  public Map<Long, String> ofAccounts() {
    Map<Long, String> codes = new HashMap<>();
    sql.sql("select a.id, t.code from account a join tax_rate t on t.id = a.tax_rate_id")
        .query((row, n) -> codes.put(row.getLong(1), row.getString(2)))
        .list();
    return codes;
  }

  /** Gives an account its usual rate by code; an empty or unknown one takes it away. */
  public void ofAccount(String account, String code) {
    sql.sql(
            "update account set tax_rate_id = (select id from tax_rate where code = ?) where code = ?")
        .params(code, account)
        .update();
  }

  /** The code of the rate where nothing else says; empty for none. */
  public String ofBook() {
    return sql.sql("select t.code from book b join tax_rate t on t.id = b.tax_rate_id")
        .query(String.class)
        .optional()
        .orElse("");
  }

  /** Sets that rate by its code; an empty or unknown one takes it away. */
  public void ofBook(String code) {
    sql.sql("update book set tax_rate_id = (select id from tax_rate where code = ?)")
        .param(code)
        .update();
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

  /** The same for many; none for those that have none. */
  public Map<Long, String> ofItems(List<Long> items) {
    Map<Long, String> codes = new HashMap<>();
    if (!items.isEmpty())
      sql.sql(
              "select i.id, t.code from item i join tax_rate t on t.id = i.tax_rate_id"
                  + " where i.id in (:items)")
          .param("items", items)
          .query((row, n) -> codes.put(row.getLong(1), row.getString(2)))
          .list();
    return codes;
  }

  /** Gives an item a rate by its code; an empty or unknown one takes it away. */
  public void ofItem(long item, String code) {
    sql.sql("update item set tax_rate_id = (select id from tax_rate where code = ?) where id = ?")
        .params(code, item)
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

  /** The tax accounts against the lines of the report; what returns settled is in neither. */
  public TieOut tieOut(LocalDate from, LocalDate to) {
    return sql.sql(
            """
            select coalesce(sum(if(t.role = 'SALES_TAX', -t.amount, 0)), 0),
              coalesce(sum(if(t.role = 'PURCHASE_TAX', t.amount, 0)), 0),
              (select coalesce(sum(if(e.side = 'SALES_TAX', e.tax, -e.tax)), 0) from tax_entry e
               where e.date between :from and :to)
            from (select a.role, l.amount from account a
                  %s
                  join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
                  join paper_kind k on k.kind = p.kind and not k.opening and not k.declares
                  where a.role in ('SALES_TAX', 'PURCHASE_TAX')) t
            """
                .formatted(AccountLines.join(from, to)))
        .param("from", from)
        .param("to", to)
        .query((row, n) -> new TieOut(row.getLong(1), row.getLong(2), row.getLong(3)))
        .single();
  }
}
