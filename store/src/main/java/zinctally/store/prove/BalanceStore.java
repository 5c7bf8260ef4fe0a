package zinctally.store.prove;

import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.proof.Proof;

/** The balance on the beam: all that is posted, from month totals alone. */
@Repository
public class BalanceStore {
  private final JdbcClient sql;

  BalanceStore(JdbcClient sql) {
    this.sql = sql;
  }

  public Proof.Balance now() {
    Map<Long, Proof.Balance.OnAccount> accounts = new HashMap<>();
    sql.sql(
            """
            select account_id, sum(book), sum(ledger) from (
              select account_id, value as book, 0 as ledger from stock_month
              union all
              select m.account_id, 0, m.debit - m.credit from account_month m
              join account a on a.id = m.account_id and a.role = 'STOCK') t
            group by account_id
            """)
        .query(
            row -> {
              accounts.put(
                  row.getLong(1), new Proof.Balance.OnAccount(row.getLong(2), row.getLong(3)));
            });
    return new Proof.Balance(accounts);
  }
}
