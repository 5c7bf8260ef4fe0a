package zinctally.store.ledger;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;

/** The chart of accounts. */
@Repository
public class AccountStore {
  private final JdbcClient sql;

  AccountStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** All accounts by code. */
  public List<Account> all() {
    return sql.sql("select * from account order by code").query(AccountStore::row).list();
  }

  public boolean used(long id) {
    return sql.sql(
            """
            select exists (select 1 from journal_line where account_id = :id)
              or exists (select 1 from paper_line where account_id = :id)
              or exists (select 1 from reason where account_id = :id)
              or exists (select 1 from party where account_id = :id)
              or exists (select 1 from tender where account_id = :id)
              or exists (select 1 from item_group
                         where :id in (stock_account, sales_account, cost_account))
              or exists (select 1 from item
                         where :id in (stock_account, sales_account, cost_account))
            """)
        .param("id", id)
        .query(Boolean.class)
        .single();
  }

  /** A new account stands in statements where the one before it in the chart stands. */
  public void add(String code, String name, AccountKind kind, Role role) {
    sql.sql(
            """
            insert into account (code, name, kind, role, section_id)
            select :code, :name, :kind, :role,
              (select a.section_id from account a where a.kind = :kind and a.section_id is not null
               order by a.code > :code, a.code desc limit 1)
            """)
        .param("code", code)
        .param("name", name)
        .param("kind", kind.name())
        .param("role", role.name())
        .update();
  }

  public void change(Account account) {
    sql.sql("update account set code = ?, name = ?, kind = ?, role = ?, active = ? where id = ?")
        .params(
            account.code(),
            account.name(),
            account.kind().name(),
            account.role().name(),
            account.active(),
            account.id())
        .update();
  }

  /** Takes an account out of the chart; the caller knows that nothing uses it. */
  public void remove(long id) {
    sql.sql("delete from account where id = ?").param(id).update();
  }

  private static Account row(ResultSet row, int n) throws SQLException {
    return new Account(
        row.getLong("id"),
        row.getString("code"),
        row.getString("name"),
        AccountKind.valueOf(row.getString("kind")),
        Role.valueOf(row.getString("role")),
        row.getBoolean("active"));
  }
}
