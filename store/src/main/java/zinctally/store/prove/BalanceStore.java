package zinctally.store.prove;

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
    return sql.sql(
            """
            select (select coalesce(sum(value), 0) from stock_month),
                   (select coalesce(sum(m.debit - m.credit), 0)
                    from account_month m join account a on a.id = m.account_id
                    where a.role = 'STOCK')
            """)
        .query((row, n) -> new Proof.Balance(row.getLong(1), row.getLong(2)))
        .single();
  }
}
