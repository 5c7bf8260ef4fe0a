package zinctally.store.posting;

import java.util.function.IntConsumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * How far long postings are. Kept outside the posting's own transaction, so that it can be read
 * while that is still open.
 */
@Component
public class Progress {
  private static final int LONG = 1000;
  private final JdbcClient sql;
  private final TransactionTemplate apart;

  Progress(JdbcClient sql, PlatformTransactionManager transactions) {
    this.sql = sql;
    apart = new TransactionTemplate(transactions);
    apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
  }

  /** Percent of the work done; zero when none is under way. */
  public int of(long draft) {
    return sql.sql("select percent from draft_progress where draft_id = ?")
        .param(draft)
        .query(Integer.class)
        .optional()
        .orElse(0);
  }

  /** Where a posting says how far it is; silent when the paper is short. */
  IntConsumer begin(long draft, int rows) {
    if (rows < LONG) return percent -> {};
    return percent ->
        apart.executeWithoutResult(
            status ->
                sql.sql(
                        "insert into draft_progress values (?, ?)"
                            + " on duplicate key update percent = values(percent)")
                    .params(draft, percent)
                    .update());
  }
}
