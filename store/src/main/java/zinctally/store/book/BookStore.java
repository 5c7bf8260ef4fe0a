package zinctally.store.book;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Coin;

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

  private Optional<Book> read(String lock) {
    return sql.sql("select * from book where id = 1" + lock)
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
                    row.getBoolean("tax_on_sums")))
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

  /** The role that approves purchase orders; empty when nobody needs to. */
  public void approver(String role) {
    sql.sql("update book set approver = ? where id = 1").param(role).update();
  }
}
