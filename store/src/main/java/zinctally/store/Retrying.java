package zinctally.store;

import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.core.papers.Fault;

/**
 * Runs work in one transaction, and again when it met others: a deadlock, or a key that another
 * wrote first. Inside a transaction that is open already it is that one's to try again.
 */
@Component
public class Retrying {
  private static final int TRIES = 12;
  private static final long LONGEST_PAUSE = 200_000_000;
  private final TransactionTemplate transaction;

  Retrying(TransactionTemplate transaction) {
    this.transaction = transaction;
  }

  /**
   * @throws Refused when others were in the way every time; nothing has changed
   */
  public <T> T run(Supplier<T> work) {
    if (TransactionSynchronizationManager.isActualTransactionActive()) return work.get();
    for (int tried = 1; tried <= TRIES; tried++)
      try {
        return transaction.execute(status -> work.get());
      } catch (PessimisticLockingFailureException | DuplicateKeyException collided) {
        long most = Math.min(LONGEST_PAUSE, tried * 10_000_000L);
        LockSupport.parkNanos(ThreadLocalRandom.current().nextLong(most));
      }
    throw new Refused(
        List.of(
            Fault.whole(
                "Others were writing the same at this moment, again and again; nothing has"
                    + " changed. Try once more.")));
  }
}
