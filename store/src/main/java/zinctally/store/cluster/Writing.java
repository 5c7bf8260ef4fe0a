package zinctally.store.cluster;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.sql.Statement;

/** The row that says which server of the cluster is written to. */
final class Writing {
  private static final String HERE =
      "select 1 from writing_server where id = 1 and address = @@wsrep_node_incoming_address";

  private Writing() {}

  /**
   * @throws SQLException when another server is written to
   */
  static void here(Connection connection) throws SQLException {
    ask(connection, HERE);
  }

  /**
   * Until the transaction ends no other server is written to: that would break it off.
   *
   * @throws SQLException when another is already
   */
  static void held(Connection connection) throws SQLException {
    ask(connection, HERE + " lock in share mode");
  }

  private static void ask(Connection connection, String whether) throws SQLException {
    try (Statement statement = connection.createStatement();
        ResultSet row = statement.executeQuery(whether)) {
      if (!row.next())
        throw new SQLTransientConnectionException("another server of the cluster is written to");
    }
  }

  /** The address of the server that is written to; empty for none. */
  static String address(Statement statement) throws SQLException {
    // what others have written by now is waited for
    statement.execute("set session wsrep_sync_wait = 1");
    try (ResultSet row =
        statement.executeQuery("select address from writing_server where id = 1")) {
      return row.next() ? row.getString(1) : "";
    } finally {
      statement.execute("set session wsrep_sync_wait = 0");
    }
  }

  /**
   * Has this server written to from now on, instead of another.
   *
   * @return false when that one is not written to any more
   */
  static boolean move(Connection connection, String from) throws SQLException {
    try (PreparedStatement statement =
        connection.prepareStatement(
            """
            update writing_server set address = @@wsrep_node_incoming_address,
              since = current_timestamp(3) where id = 1 and address = ?
            """)) {
      statement.setString(1, from);
      return statement.executeUpdate() == 1;
    }
  }
}
