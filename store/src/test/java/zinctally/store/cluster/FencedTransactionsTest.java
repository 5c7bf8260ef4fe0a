package zinctally.store.cluster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.store.FreshBook;

/** A transaction that writes is at the server that is written to, until its end. */
class FencedTransactionsTest {
  private final FreshBook book = new FreshBook();
  private final TransactionTemplate fenced =
      new TransactionTemplate(new FencedTransactions(book.get(DataSource.class)));

  @AfterEach
  void closed() {
    book.close();
  }

  /** The only server there is here goes by the address that it has without any setting. */
  private void writtenTo(String address) {
    book.sql().sql("update writing_server set address = ?").param(address).update();
  }

  private String own() {
    return book.sql().sql("select @@wsrep_node_incoming_address").query(String.class).single();
  }

  @Test
  void at_another_server_nothing_begins() {
    writtenTo("another:1");

    assertThatThrownBy(() -> fenced.executeWithoutResult(status -> {}))
        .isInstanceOf(CannotCreateTransactionException.class);
  }

  @Test
  void while_one_writes_no_other_server_takes_the_place() {
    writtenTo(own());

    fenced.executeWithoutResult(
        status ->
            assertThatThrownBy(this::another)
                .isInstanceOf(SQLException.class)
                .hasMessageContaining("Lock wait timeout"));

    assertThat(book.sql().sql("select address from writing_server").query(String.class).single())
        .isEqualTo(own());
  }

  /** Another program has another server written to. */
  private void another() throws SQLException {
    try (Connection beside = book.get(DataSource.class).getConnection();
        Statement statement = beside.createStatement()) {
      statement.execute(
          "set statement innodb_lock_wait_timeout = 1 for"
              + " update writing_server set address = 'another:1'");
    }
  }
}
