package zinctally.store;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Many statements that read the book as it is at one and the same moment, and write nothing. */
@Component
public class OneMoment {
  private final TransactionTemplate still;
  private final Retrying retrying;

  OneMoment(PlatformTransactionManager transactions, Retrying retrying) {
    this.retrying = retrying;
    still = new TransactionTemplate(transactions);
    still.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    still.setReadOnly(true);
  }

  /**
   * What {@code reading} gives. Inside a transaction that is open already, that one's view. Where
   * several servers keep the book, it is read again at another when one is gone.
   */
  public <T> T of(Supplier<T> reading) {
    return retrying.again(() -> still.execute(status -> reading.get()));
  }
}
