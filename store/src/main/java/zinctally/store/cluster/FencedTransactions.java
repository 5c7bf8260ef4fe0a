package zinctally.store.cluster;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionSystemException;
import zinctally.store.DatabaseGone;

/**
 * Transactions that end well only if no other server was written to meanwhile: what a row's lock
 * promises, it promises at one server.
 */
final class FencedTransactions extends JdbcTransactionManager {
  private static final long serialVersionUID = 1;

  FencedTransactions(DataSource source) {
    super(source);
  }

  @Override
  protected void prepareTransactionalConnection(
      Connection connection, TransactionDefinition definition) throws SQLException {
    super.prepareTransactionalConnection(connection, definition);
    if (!definition.isReadOnly()) Writing.held(connection);
  }

  /**
   * Nobody knows whether a commit that was not answered was made, so nobody tries it again. What
   * cannot be rolled back at a server that is gone is gone with it.
   */
  @Override
  protected RuntimeException translateException(String task, SQLException failed) {
    if (task.contains("rollback"))
      return new DataAccessResourceFailureException("The server is gone", failed);
    return task.contains("commit") && DatabaseGone.why(failed)
        ? new TransactionSystemException("The commit was not answered", failed)
        : super.translateException(task, failed);
  }
}
