package zinctally.store.book;

import java.time.LocalDate;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.number.Coin;
import zinctally.core.number.Form;

/** The book's name, currency and dates. */
@Repository
public class BookStore {
  private final JdbcClient sql;

  BookStore(JdbcClient sql) {
    this.sql = sql;
  }

  /** Empty until it has been set up. */
  public Optional<Book> find() {
    return read("");
  }

  /** The book, held so that no period is closed until the transaction ends. */
  Book held() {
    return read(" lock in share mode").orElseThrow();
  }

  /**
   * The book, held alone: no posting is under way until the transaction ends. For what postings
   * rely on: periods, and what items, accounts, groups, places and rates are.
   */
  public Book heldAlone() {
    return read(" for update").orElseThrow();
  }

  private Optional<Book> read(String lock) {
    return sql.sql(
            "select b.*, exists (select 1 from centre) as centres from book b"
                + " where b.id = 1"
                + lock)
        .query(
            (row, n) ->
                new Book(
                    row.getString("name"),
                    Coin.of(row.getString("currency")),
                    row.getObject("cut_over", LocalDate.class),
                    row.getObject("closed_to", LocalDate.class),
                    row.getBoolean("prices_include_tax"),
                    row.getBoolean("short_stock"),
                    row.getString("approver"),
                    row.getLong("approve_from"),
                    row.getBoolean("tax_on_sums"),
                    row.getString("address"),
                    row.getString("tax_number"),
                    row.getString("bank"),
                    row.getBoolean("centres")))
        .optional();
  }

  /**
   * @throws IllegalStateException when the book has not been set up
   */
  public Book book() {
    return find().orElseThrow(() -> new IllegalStateException("the book is not set up yet"));
  }

  /** Whether anything is posted: from then on currency and cut-over date are fixed. */
  public boolean begun() {
    return sql.sql("select exists (select 1 from paper)").query(Boolean.class).single();
  }

  /**
   * Makes the book, together with its owner. Of two first visitors at one moment one does.
   *
   * @param owner makes the owner; answers false when there is one already
   * @return false when somebody else has made the book; nothing was made
   */
  @Transactional
  public boolean begin(String name, Coin coin, LocalDate cutOver, BooleanSupplier owner) {
    sql.sql("insert ignore into book (id, name, currency, cut_over) values (1, ?, ?, ?)")
        .params(name, coin.code(), cutOver)
        .update();
    heldAlone();
    if (!owner.getAsBoolean()) return false;
    save(name, coin, cutOver, false, false);
    return true;
  }

  public void save(
      String name, Coin coin, LocalDate cutOver, boolean pricesIncludeTax, boolean shortStock) {
    sql.sql(
            """
            insert into book (id, name, currency, cut_over, prices_include_tax, short_stock)
            values (1, ?, ?, ?, ?, ?)
            on duplicate key update name = values(name), currency = values(currency),
              cut_over = values(cut_over), prices_include_tax = values(prices_include_tax),
              short_stock = values(short_stock)
            """)
        .params(name, coin.code(), cutOver, pricesIncludeTax, shortStock)
        .update();
  }

  /** Whether tax is rounded on the sum of each rate instead of line by line. */
  public void taxOnSums(boolean onSums) {
    sql.sql("update book set tax_on_sums = ? where id = 1").param(onSums).update();
  }

  /** In which form figures are written where a person has none of his own. */
  public void figures(Form form) {
    sql.sql("update book set figures = ? where id = 1").param(form.name()).update();
  }

  /** The form in which a person writes and reads figures; the book's for nobody. */
  public Form figuresOf(String login) {
    return Form.of(
        sql.sql(
                "select coalesce((select figures from app_user where login = ?), b.figures)"
                    + " from book b where b.id = 1")
            .param(login)
            .query(String.class)
            .optional()
            .orElse(""));
  }

  /** What papers handed over say of the business. */
  public void letterhead(String address, String taxNumber, String bank) {
    sql.sql("update book set address = ?, tax_number = ?, bank = ? where id = 1")
        .params(address, taxNumber, bank)
        .update();
  }

  /**
   * Who approves purchase orders.
   *
   * @param role empty when nobody needs to
   * @param from minor units with tax; an order that comes to less stands without approval
   */
  public void approver(String role, long from) {
    sql.sql("update book set approver = ?, approve_from = ? where id = 1")
        .params(role, from)
        .update();
  }
}
