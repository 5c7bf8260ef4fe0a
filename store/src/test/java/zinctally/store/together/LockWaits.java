package zinctally.store.together;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.function.IntSupplier;

/**
 * Asks the database server, over a connection of its own, how many transactions wait for a lock.
 */
final class LockWaits implements IntSupplier, AutoCloseable {
  private final Connection watch;

  LockWaits() {
    try {
      watch =
          DriverManager.getConnection(
              System.getenv("ZINC_DB_SERVER"),
              System.getenv("ZINC_DB_USER"),
              System.getenv("ZINC_DB_PASSWORD"));
    } catch (SQLException none) {
      throw new IllegalStateException(none);
    }
  }

  @Override
  public int getAsInt() {
    try (Statement ask = watch.createStatement();
        ResultSet answer =
            ask.executeQuery("show global status like 'Innodb_row_lock_current_waits'")) {
      answer.next();
      return answer.getInt(2);
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }

  @Override
  public void close() {
    try {
      watch.close();
    } catch (SQLException failed) {
      throw new IllegalStateException(failed);
    }
  }
}
