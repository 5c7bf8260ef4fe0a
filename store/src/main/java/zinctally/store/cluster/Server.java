package zinctally.store.cluster;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.sql.Statement;
import java.util.Collections;
import java.util.Set;
import java.util.WeakHashMap;

/** One database server of a cluster, and the connections this program has to it. */
final class Server implements AutoCloseable {
  /** Milliseconds that it may take to say how the cluster looks. */
  private static final int LONGEST = 3000;

  /** What it is known by among the others: host and port. */
  private final String address;

  private final HikariDataSource pool;
  private final Set<Connection> lent =
      Collections.synchronizedSet(Collections.newSetFromMap(new WeakHashMap<>()));

  Server(String address, HikariDataSource pool) {
    this.address = address;
    this.pool = pool;
  }

  String address() {
    return address;
  }

  /**
   * A connection, if this is the server that is written to.
   *
   * @throws SQLException when it is not, or does not answer
   */
  Connection writing() throws SQLException {
    Connection connection = pool.getConnection();
    lent.add(connection);
    try {
      Writing.here(connection);
    } catch (SQLException not) {
      connection.close();
      throw not;
    }
    return connection;
  }

  /**
   * How the cluster looks from here.
   *
   * @param writing the address of the server that is written to; empty when there was none yet
   * @param members the addresses of all that are of the cluster
   */
  record View(String writing, Set<String> members) {
    /** Whether who is written to is there no more. */
    boolean orphaned() {
      return !members.contains(writing);
    }
  }

  /**
   * @throws SQLException when it does not answer, or is cut off from most of the others
   */
  View view() throws SQLException {
    try (Connection connection = pool.getConnection();
        Statement statement = connection.createStatement()) {
      well(connection);
      return new View(
          Writing.address(statement),
          Set.of(status(statement, "wsrep_incoming_addresses").split(",")));
    }
  }

  /**
   * Leaves a connection only as long to answer as one needs that is well.
   *
   * @throws SQLException when its server does not answer, or is cut off from most of the others
   */
  static void well(Connection connection) throws SQLException {
    // whoever is cut off does not even refuse
    connection.setNetworkTimeout(Runnable::run, LONGEST);
    try (Statement statement = connection.createStatement()) {
      if (!status(statement, "wsrep_ready").equals("ON"))
        throw new SQLTransientConnectionException("A server is cut off from the others");
    }
  }

  private static String status(Statement statement, String name) throws SQLException {
    try (ResultSet row = statement.executeQuery("show status like '" + name + "'")) {
      return row.next() ? row.getString(2) : "";
    }
  }

  /**
   * Takes the place of the server that was written to.
   *
   * @return false when another did first
   */
  boolean takesOver(String from) throws SQLException {
    try (Connection connection = pool.getConnection()) {
      return Writing.move(connection, from);
    }
  }

  /** Forgets connections that were given back. */
  void tidy() {
    lent.removeIf(Server::closed);
  }

  private static boolean closed(Connection connection) {
    try {
      return connection.isClosed();
    } catch (SQLException gone) {
      return true;
    }
  }

  /** Breaks off whatever still waits for an answer from here. */
  void leave() {
    for (Connection connection : Set.copyOf(lent))
      try {
        if (!connection.isClosed()) connection.abort(Runnable::run);
      } catch (SQLException gone) {
        // it is as good as broken off
      }
    lent.clear();
    pool.getHikariPoolMXBean().softEvictConnections();
  }

  @Override
  public void close() {
    pool.close();
  }
}
