package zinctally.store.prove;

import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.proof.Proof;

/** What the beam weighs. */
@Repository
public class BalanceStore {
  private final JdbcClient sql;

  BalanceStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** All that is posted, by stock account, from month totals alone. */
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

  /**
   * Whether journals by hand that no check has seen yet have put items apart: their sums on an
   * account may agree, and then nothing but its items says so.
   */
  public boolean apartByHand() {
    return sql.sql(
            """
            select exists (
              select 1 from (select distinct paper_id from by_hand_unchecked) u
              straight_join journal j on j.paper_id = u.paper_id
              straight_join journal_line l on l.journal_id = j.id
              straight_join account a on a.id = l.account_id and a.role = 'STOCK'
              group by l.account_id, l.item_id having sum(l.amount) <> 0)
            """)
        .query(Boolean.class)
        .single();
  }
}
