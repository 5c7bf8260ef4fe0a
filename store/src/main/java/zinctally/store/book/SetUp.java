package zinctally.store.book;

import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import zinctally.store.Retrying;

/**
 * Changes of what postings rely on: items, groups, accounts, places, rates, people, the book. One
 * after the other and beside no posting, so that what is looked at before a change still holds when
 * it is made.
 */
@Service
public class SetUp {
  private final BookStore books;
  private final Retrying retrying;

  SetUp(BookStore books, Retrying retrying) {
    this.books = books;
    this.retrying = retrying;
  }

  /** Looks and changes in one transaction that holds the book alone. */
  public <T> T alone(Supplier<T> work) {
    return retrying.run(
        () -> {
          books.heldAlone();
          return work.get();
        });
  }
}
