package zinctally.store.house;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLFeatureNotSupportedException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.datasource.AbstractDataSource;

/**
 * Connections to the book a thread is in. Each book has its own, under its own account; what is
 * asked of one never sees another. A book is made ready when it is asked first.
 */
final class HouseSource extends AbstractDataSource implements AutoCloseable {
  private final BookDoor door;
  private final Map<String, Opened> opened = new ConcurrentHashMap<>();
  private final ScheduledExecutorService housekeeper =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "connections");
            thread.setDaemon(true);
            return thread;
          });

  HouseSource(BookDoor door) {
    this.door = door;
  }

  /** Who comes first makes it ready; who comes meanwhile waits for that, and others do not. */
  private final class Opened {
    private @Nullable HikariDataSource pool;

    synchronized HikariDataSource pool(String database) {
      if (pool == null) {
        door.ready(database);
        pool = door.connections(database);
        pool.setScheduledExecutor(housekeeper);
      }
      return pool;
    }

    synchronized void close() {
      if (pool != null) pool.close();
    }
  }

  /** Connections to one book, whichever the thread is in. */
  DataSource of(String database) {
    return opened.computeIfAbsent(database, d -> new Opened()).pool(database);
  }

  @Override
  public Connection getConnection() throws SQLException {
    return of(AtBook.database()).getConnection();
  }

  /** Each pool signs in by itself. */
  @Override
  public Connection getConnection(String name, String password) throws SQLException {
    throw new SQLFeatureNotSupportedException();
  }

  @Override
  public void close() {
    opened.values().forEach(Opened::close);
    housekeeper.shutdownNow();
  }
}
