package zinctally.store.setup;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.find.Like;

/** Tax rates, reasons and parties. */
@Repository
public class SetupStore {
  private final JdbcClient sql;

  SetupStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Bank and cash accounts in use. */
  public List<String> moneyAccounts() {
    return sql.sql(
            "select concat(code, ' ', name) from account where role = 'MONEY' and active order by code")
        .query(String.class)
        .list();
  }

  /** Accounts that a till's money may come from or go to: banks first, no control accounts. */
  public List<String> tillAccounts() {
    return sql.sql(
            "select concat(code, ' ', name) from account where role in ('MONEY', 'NONE') and active"
                + " order by role = 'MONEY' desc, code")
        .query(String.class)
        .list();
  }

  /** A row of one of the small tables. */
  public record Row(
      long id,
      String name,
      String code,
      @Nullable BigDecimal percent,
      long account,
      boolean active) {}

  public List<Row> taxRates() {
    return sql.sql("select id, name, code, percent, active from tax_rate order by code")
        .query(
            (r, n) ->
                new Row(
                    r.getLong(1),
                    r.getString(2),
                    r.getString(3),
                    r.getBigDecimal(4),
                    0,
                    r.getBoolean(5)))
        .list();
  }

  public List<Row> taxRatesInUse() {
    return taxRates().stream().filter(Row::active).toList();
  }

  public List<Row> reasons() {
    return sql.sql("select id, name, account_id, active from reason order by name")
        .query(
            (r, n) ->
                new Row(r.getLong(1), r.getString(2), "", null, r.getLong(3), r.getBoolean(4)))
        .list();
  }

  /** A rate that papers used keeps its code and percent: it is switched off and a new one made. */
  public boolean saveTaxRate(
      long id, String code, String name, BigDecimal percent, boolean active) {
    if (id == 0)
      return sql.sql("insert into tax_rate (code, name, percent) values (?, ?, ?)")
              .params(code, name, percent)
              .update()
          > 0;
    return sql.sql(
                    """
                update tax_rate set code = ?, name = ?, percent = ?, active = ? where id = ?
                  and (percent = ? and code = ?
                    or not exists (select 1 from paper_line where tax_rate_id = ?))
                """)
                .params(code, name, percent, active, id, percent, code, id)
                .update()
            > 0
        || sql.sql(
                "select exists (select 1 from tax_rate where id = ? and percent = ? and code = ?)")
            .params(id, percent, code)
            .query(Boolean.class)
            .single();
  }

  public void saveReason(long id, String name, long account, boolean active) {
    if (id == 0)
      sql.sql("insert into reason (name, account_id) values (?, ?)").params(name, account).update();
    else
      sql.sql("update reason set name = ?, account_id = ?, active = ? where id = ?")
          .params(name, account, active, id)
          .update();
  }

  /** Why goods go or come back. */
  public List<Row> returnReasons() {
    return sql.sql("select id, name, active from return_reason order by name")
        .query((r, n) -> new Row(r.getLong(1), r.getString(2), "", null, 0, r.getBoolean(3)))
        .list();
  }

  public void saveReturnReason(long id, String name, boolean active) {
    if (id == 0) sql.sql("insert into return_reason (name) values (?)").param(name).update();
    else
      sql.sql("update return_reason set name = ?, active = ? where id = ?")
          .params(name, active, id)
          .update();
  }

  /**
   * Enough of a paper to tell it from others.
   *
   * @param reference the other side's number, after a comma; empty when there is none
   */
  public record Named(String number, LocalDate date, String who, String reference) {}

  /**
   * Posted papers of some kinds, latest first, whose own or their number, or whose party, holds
   * what was typed.
   */
  public List<Named> papers(List<String> kinds, String typed, int atMost) {
    String like = Like.escaped(typed);
    return sql.sql(
            """
            select p.number, p.date, coalesce(w.name, ''),
              if(p.reference = '', '', concat(', ', p.reference))
            from paper p left join party w on w.id = p.party_id
            where p.kind in (:kinds) and p.state = 'POSTED'
              and (p.number like :within or p.reference like :within or w.name like :within)
            order by p.date desc, p.id desc limit :most
            """)
        .param("kinds", kinds)
        .param("within", "%" + like + "%")
        .param("most", atMost)
        .query((row, n) -> named(row))
        .list();
  }

  private static Named named(ResultSet row) throws SQLException {
    return new Named(
        row.getString(1), row.getObject(2, LocalDate.class), row.getString(3), row.getString(4));
  }

  /**
   * Papers that something is open of, whose own or their number, or whose party, holds what was
   * typed.
   */
  public List<Named> openPapers(String typed, int atMost) {
    return sql.sql(
            """
            select p.number, o.date, w.name, if(o.number = p.number, '', concat(', ', o.number))
            from open_item o join paper p on p.id = o.paper_id and p.state = 'POSTED'
            join party w on w.id = o.party_id
            where o.open <> 0
              and (p.number like :within or o.number like :within or w.name like :within)
            order by o.due, o.id limit :most
            """)
        .param("within", "%" + Like.escaped(typed) + "%")
        .param("most", atMost)
        .query((row, n) -> named(row))
        .list();
  }

  /** Names of parties of a kind that begin with, then hold, what was typed. */
  public List<String> parties(String kind, String typed, int atMost) {
    String like = Like.escaped(typed);
    return sql.sql(
            """
            select name from party where active and (:kind = '' or kind = :kind)
              and name like :within order by name like :start desc, name limit :most
            """)
        .param("kind", kind)
        .param("within", "%" + like + "%")
        .param("start", like + "%")
        .param("most", atMost)
        .query(String.class)
        .list();
  }
}
