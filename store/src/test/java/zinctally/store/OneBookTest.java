package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;

/** Tests that share one book; in the end all that must hold in a book holds in it. */
abstract class OneBookTest {
  static FreshBook book;

  @BeforeAll
  static void open() {
    book = new FreshBook();
  }

  @AfterAll
  static void close() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }
}
