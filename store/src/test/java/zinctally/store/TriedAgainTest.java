package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.util.AopTestUtils;
import org.springframework.transaction.annotation.Transactional;

/** Work that is marked as one transaction is tried again as a whole when it met others. */
class TriedAgainTest {
  private static FreshBook book;

  /** Writes a row and then fails, as often as it is told to. */
  static class Work {
    private final JdbcClient sql;
    private RuntimeException fails;
    private int failures;
    private int tried;

    Work(JdbcClient sql) {
      this.sql = sql;
    }

    @Transactional
    public void write(String place) {
      tried++;
      sql.sql("insert into place (name) values (?)").param(place).update();
      if (failures-- > 0) throw fails;
    }
  }

  @Configuration
  static class Wiring {
    @Bean
    Work work(JdbcClient sql) {
      return new Work(sql);
    }
  }

  @BeforeAll
  static void open() {
    book = new FreshBook(Wiring.class);
  }

  @AfterAll
  static void close() {
    book.close();
  }

  /** The work itself, behind what goes around it, told to fail so often. */
  private static Work failing(int times, RuntimeException with) {
    Work work = AopTestUtils.getTargetObject(book.get(Work.class));
    work.fails = with;
    work.failures = times;
    work.tried = 0;
    return work;
  }

  private static long places(String name) {
    return book.sql()
        .sql("select count(*) from place where name = ?")
        .param(name)
        .query(Long.class)
        .single();
  }

  @Test
  void after_a_deadlock_it_is_done_once_more_and_written_once() {
    Work work = failing(2, new CannotAcquireLockException("deadlock"));

    book.get(Work.class).write("Loft");

    assertThat(work.tried).isEqualTo(3);
    assertThat(places("Loft")).isEqualTo(1);
  }

  @Test
  void a_key_that_is_taken_is_told_at_once() {
    Work work = failing(1, new DuplicateKeyException("taken"));

    assertThatThrownBy(() -> book.get(Work.class).write("Cellar"))
        .isInstanceOf(DuplicateKeyException.class);

    assertThat(work.tried).isEqualTo(1);
    assertThat(places("Cellar")).isZero();
  }
}
