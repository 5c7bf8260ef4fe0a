package zinctally.store.cluster;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLFeatureNotSupportedException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.datasource.AbstractDataSource;

/**
 * Connections to the one server of a cluster that is written to. Which one that is stands in the
 * book itself. When it is no more of the cluster, the first of the others that is there takes its
 * place; a server that was cut off takes nothing, since it is of no cluster until it is back.
 */
final class ClusterSource extends AbstractDataSource implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(ClusterSource.class);

  private static final Duration PAUSE = Duration.ofMillis(100);

  private final List<Server> servers;
  private final Duration patience;
  private final ScheduledExecutorService watch =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "cluster");
            thread.setDaemon(true);
            return thread;
          });
  private volatile Server at;

  /**
   * @param patience how long a connection is waited for while no server is written to
   */
  ClusterSource(List<Server> servers, Duration patience) {
    this.servers = List.copyOf(servers);
    this.patience = patience;
    at = servers.get(0);
  }

  /** Has the servers looked at every second. */
  ClusterSource watching() {
    watch.scheduleWithFixedDelay(this::watch, 0, 1, TimeUnit.SECONDS);
    return this;
  }

  @Override
  public Connection getConnection() throws SQLException {
    long until = System.nanoTime() + patience.toNanos();
    while (true) {
      Server asked = at;
      try {
        return asked.writing();
      } catch (SQLException not) {
        if (System.nanoTime() > until || Thread.currentThread().isInterrupted()) throw not;
        if (asked == at) LockSupport.parkNanos(PAUSE.toNanos());
      }
    }
  }

  /** Each pool signs in by itself. */
  @Override
  public Connection getConnection(String name, String password) throws SQLException {
    throw new SQLFeatureNotSupportedException();
  }

  private void watch() {
    try {
      servers.forEach(Server::tidy);
      look();
    } catch (RuntimeException failed) {
      LOG.error("the servers of the cluster could not be looked at; it is tried again", failed);
    }
  }

  /** Finds out which server is written to; the one that was is asked first. */
  void look() {
    if (found(at)) return;
    for (Server other : servers) if (other != at && found(other)) return;
  }

  /** Whether a server knew. */
  private boolean found(Server asked) {
    try {
      Server.View view = asked.view();
      String writing = view.writing();
      if (view.orphaned()) {
        if (!asked.takesOver(writing)) return false;
        LOG.warn("{} is written to from now on, instead of {}", asked.address(), writing);
        writing = asked.address();
      }
      go(writing);
      return true;
    } catch (SQLException gone) {
      LOG.debug("{} does not say which server is written to", asked.address(), gone);
      return false;
    }
  }

  private void go(String address) {
    if (at.address().equals(address)) return;
    Server before = at;
    for (Server server : servers) if (server.address().equals(address)) at = server;
    if (at != before) before.leave();
    else LOG.error("{} is written to, and this program was not told of it", address);
  }

  @Override
  public void close() {
    watch.shutdownNow();
    servers.forEach(Server::close);
  }
}
