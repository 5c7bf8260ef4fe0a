package zinctally.store;

import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessResourceException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.core.papers.Fault;

/**
 * Runs work in one transaction, and again when it met others: a deadlock, or a key that another
 * wrote first. Where several servers keep the book, also when the one that was written to is gone,
 * or a row is that another server's did away with. Inside a transaction that is open already it is
 * that one's to try again.
 */
@Component
public class Retrying {
  private static final int TRIES = 12;

  /** How often a server is looked for that takes the place of one that is gone. */
  private static final int SERVERS = 3;

  /** What MariaDB says when another has held a row for longer than anybody waits. */
  private static final int WAITED_TOO_LONG = 1205;

  private static final long LONGEST_PAUSE = 200_000_000;
  private final TransactionTemplate transaction;
  private final boolean cluster;

  Retrying(TransactionTemplate transaction, @Value("${zinc.servers:}") String servers) {
    this.transaction = transaction;
    cluster = !servers.isEmpty();
  }

  /** Work that is all undone when it fails. */
  @FunctionalInterface
  interface Work<T, E extends Throwable> {
    T once() throws E;
  }

  /**
   * @throws Refused when others were in the way every time; nothing has changed
   */
  public <T> T run(Supplier<T> work) {
    if (TransactionSynchronizationManager.isActualTransactionActive()) return work.get();
    return again(
        () -> {
          try {
            return transaction.execute(status -> work.get());
          } catch (DuplicateKeyException other) {
            throw new CannotAcquireLockException("Another wrote the key first", other);
          }
        });
  }

  /**
   * Runs work that begins its transaction itself.
   *
   * @throws Refused when others were in the way every time; nothing has changed
   */
  <T, E extends Throwable> T again(Work<T, E> work) throws E {
    if (TransactionSynchronizationManager.isActualTransactionActive()) return work.once();
    for (int tried = 1; tried <= TRIES; tried++)
      try {
        return work.once();
      } catch (PessimisticLockingFailureException collided) {
        pause(tried);
      } catch (CannotCreateTransactionException
          | DataAccessResourceFailureException
          | TransientDataAccessResourceException
          | RecoverableDataAccessException
          | DataIntegrityViolationException moved) {
        if (!cluster || tried >= SERVERS) throw moved;
        pause(tried);
      } catch (UncategorizedSQLException failed) {
        if (failed.getCause() instanceof SQLException said
            && said.getErrorCode() == WAITED_TOO_LONG) throw refused();
        throw failed;
      }
    throw refused();
  }

  private static Refused refused() {
    return new Refused(
        List.of(
            Fault.whole(
                "Others were writing the same at this moment, again and again; nothing has"
                    + " changed. Try once more.")));
  }

  private static void pause(int tried) {
    long most = Math.min(LONGEST_PAUSE, tried * 10_000_000L);
    LockSupport.parkNanos(ThreadLocalRandom.current().nextLong(most));
  }
}
