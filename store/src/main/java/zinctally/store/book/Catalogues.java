package zinctally.store.book;

import java.time.Clock;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.store.goods.GroupStore;
import zinctally.store.ledger.AccountStore;

/** Opens a fresh catalogue for each reading. */
@Component
public class Catalogues {
  private final JdbcClient sql;
  private final BookStore books;
  private final AccountStore accounts;
  private final GroupStore groups;
  private final Clock clock;

  Catalogues(
      JdbcClient sql, BookStore books, AccountStore accounts, GroupStore groups, Clock clock) {
    this.sql = sql;
    this.books = books;
    this.accounts = accounts;
    this.groups = groups;
    this.clock = clock;
  }

  public BookCatalogue open() {
    return new BookCatalogue(sql, books.book(), accounts, groups, clock);
  }
}
