package zinctally.store.cluster;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLFeatureNotSupportedException;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.AbstractDataSource;

/**
 * Connections for what only reads: to the server that is near, which waits until it has what others
 * had acknowledged; while that one is not well, to the one that is written to.
 */
final class NearSource extends AbstractDataSource implements AutoCloseable {
  private static final long AGAIN_AFTER = TimeUnit.SECONDS.toNanos(10);

  /** Milliseconds in which some of an answer must come. */
  private static final int LONGEST = 120_000;

  private final HikariDataSource pool;
  private final DataSource otherwise;
  private volatile long unwell = System.nanoTime() - AGAIN_AFTER;

  /**
   * @param pool connections to the near server that wait for what others wrote
   * @param otherwise where the book is written
   */
  NearSource(HikariDataSource pool, DataSource otherwise) {
    this.pool = pool;
    this.otherwise = otherwise;
  }

  @Override
  public Connection getConnection() throws SQLException {
    if (System.nanoTime() - unwell < AGAIN_AFTER) return otherwise.getConnection();
    try {
      Connection connection = pool.getConnection();
      try {
        Server.well(connection);
        connection.setNetworkTimeout(Runnable::run, LONGEST);
        return connection;
      } catch (SQLException cut) {
        connection.close();
        throw cut;
      }
    } catch (SQLException gone) {
      unwell = System.nanoTime();
      return otherwise.getConnection();
    }
  }

  /** Each pool signs in by itself. */
  @Override
  public Connection getConnection(String name, String password) throws SQLException {
    throw new SQLFeatureNotSupportedException();
  }

  @Override
  public void close() {
    pool.close();
  }
}
