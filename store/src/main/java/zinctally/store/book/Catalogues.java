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
  private final ListPrices prices;
  private final Clock clock;

  Catalogues(
      JdbcClient sql,
      BookStore books,
      AccountStore accounts,
      GroupStore groups,
      ListPrices prices,
      Clock clock) {
    this.sql = sql;
    this.books = books;
    this.accounts = accounts;
    this.groups = groups;
    this.prices = prices;
    this.clock = clock;
  }

  public BookCatalogue open() {
    return amending(0);
  }

  /** As if what a posted paper has settled were still open, for reading its next version. */
  public BookCatalogue amending(long paper) {
    return new BookCatalogue(sql, books.book(), paper, accounts, groups.tree(), prices, clock);
  }

  /**
   * The same, with the book held: until the transaction ends no period is closed, and nothing is
   * changed in what items, accounts, places and rates are.
   *
   * @param alone whether no other posting may hold it at the same time
   */
  public BookCatalogue held(long amends, boolean alone) {
    Book book = alone ? books.heldAlone() : books.held();
    return new BookCatalogue(sql, book, amends, accounts, groups.tree(), prices, clock);
  }
}
