package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;

import java.sql.SQLException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.transaction.support.TransactionTemplate;

/** What is tried again, and what is not. The database is absent: it fails as it is told to. */
class RetryingTest {
  private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);
  private final Deque<RuntimeException> failing = new ArrayDeque<>();
  private int tried;

  private Retrying retrying(String servers) {
    return new Retrying(new TransactionTemplate(transactions), servers);
  }

  private String work() {
    tried++;
    if (failing.isEmpty()) return "done";
    throw failing.pop();
  }

  @Test
  void a_deadlock_and_a_key_that_another_wrote_first_are_tried_again() {
    failing.addAll(
        List.of(new CannotAcquireLockException("deadlock"), new DuplicateKeyException("taken")));

    assertThat(retrying("").run(this::work)).isEqualTo("done");
    assertThat(tried).isEqualTo(3);
  }

  @Test
  void who_is_always_in_the_way_is_told_in_a_sentence() {
    for (int i = 0; i < 12; i++) failing.add(new CannotAcquireLockException("deadlock"));

    assertThatThrownBy(() -> retrying("").run(this::work))
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> assertThat(refused.faults().get(0).says()).contains("nothing has changed"));
  }

  @Test
  void who_has_waited_too_long_for_another_is_told_so_and_does_not_wait_again() {
    SQLException waited = new SQLException("Lock wait timeout exceeded", "HY000", 1205);
    failing.add(new UncategorizedSQLException("holding", "select", waited));

    assertThatThrownBy(() -> retrying("").run(this::work)).isInstanceOf(Refused.class);
    assertThat(tried).isEqualTo(1);
  }

  @Test
  void where_several_servers_keep_the_book_one_that_is_gone_is_no_reason_to_fail() {
    failing.addAll(
        List.of(
            new DataAccessResourceFailureException("gone"),
            new DataIntegrityViolationException("a row that another did away with")));

    assertThat(retrying("one:1,two:2").run(this::work)).isEqualTo("done");
    assertThat(tried).isEqualTo(3);
  }

  @Test
  void where_one_server_keeps_it_nothing_is_tried_again_when_that_is_gone() {
    failing.add(new DataAccessResourceFailureException("gone"));

    assertThatThrownBy(() -> retrying("").run(this::work))
        .isInstanceOf(DataAccessResourceFailureException.class);
    assertThat(tried).isEqualTo(1);
  }

  @Test
  void a_commit_that_was_not_answered_is_not_made_twice() {
    doThrow(new TransactionSystemException("not answered")).when(transactions).commit(any());

    assertThatThrownBy(() -> retrying("one:1,two:2").run(this::work))
        .isInstanceOf(TransactionSystemException.class);
    assertThat(tried).isEqualTo(1);
  }
}
