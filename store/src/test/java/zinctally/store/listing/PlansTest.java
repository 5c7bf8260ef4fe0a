package zinctally.store.listing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import zinctally.core.number.Coin;
import zinctally.store.FreshBook;
import zinctally.store.book.BookStore;

/**
 * How the database would read lists, were what grows with each posting that of many years: it is
 * told that those tables hold ten thousand times what they do.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PlansTest {
  private static final List<String> GROWING =
      List.of(
          "audit",
          "awaited",
          "cost_entry",
          "cost_event",
          "fulfilment",
          "journal",
          "journal_line",
          "open_item",
          "paper",
          "paper_line",
          "paper_version",
          "posting",
          "quantity_move",
          "settlement",
          "tax_entry");

  private static final int MANY = 10_000;
  private FreshBook book;
  private NamedParameterJdbcTemplate jdbc;

  @BeforeAll
  void open() {
    String schema = FreshBook.newSchema();
    book = FreshBook.in(schema);
    book.get(BookStore.class)
        .save("Test book", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, false);
    jdbc = new NamedParameterJdbcTemplate(book.get(JdbcTemplate.class));
    book.item("IT-1", "FIFO");
    for (int day = 10; day < 20; day++) {
      book.bill("2026-02-" + day, "IT-1", "10", "2.00");
      book.invoice("2026-03-" + day, "IT-1", "4", "5.00");
    }
    JdbcTemplate server = FreshBook.newSql();
    for (String table : GROWING) {
      String name = schema + "." + table;
      server.execute("analyze table " + name);
      // what is kept of a table is read anew once it has had another name
      server.execute("rename table " + name + " to " + name + "_, " + name + "_ to " + name);
      server.update(
          "update mysql.innodb_table_stats set n_rows = greatest(n_rows, 1) * ?,"
              + " clustered_index_size = clustered_index_size * ?"
              + " where database_name = ? and table_name = ?",
          MANY,
          MANY,
          schema,
          table);
      server.update(
          "update mysql.innodb_index_stats set stat_value = stat_value * ?"
              + " where database_name = ? and table_name = ?",
          MANY,
          schema,
          table);
    }
  }

  @AfterAll
  void close() {
    book.close();
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("zinctally.store.ListingsTest#listings")
  void no_list_goes_through_all_that_was_ever_posted(Listing listing) {
    Listing page = listing.parts();
    String own = Listing.bare(page.sort());
    for (String order : List.of(own, "-" + own)) {
      AskedSql sql = new AskedSql(page, new Ask("", List.of(), order, ""));
      assertThat(goesThrough(sql.rows(ListingStore.PAGE + 1), sql.params())).as(order).isEmpty();
    }
    for (Listing.Column column : listing.shown()) {
      AskedSql sql = new AskedSql(listing, new Ask("", List.of(), column.key(), ""));
      if (sql.ordersFirst())
        assertThat(goesThrough(sql.keys(ListingStore.PAGE + 1), sql.params()))
            .as(column.key())
            .isEmpty();
    }
  }

  /**
   * Steps in which much of a table is read, or all of its index that is then sorted. An index that
   * gives the order is left as soon as there are enough rows.
   */
  private List<Map<String, Object>> goesThrough(String sql, Map<String, Object> params) {
    return jdbc.queryForList("explain " + sql, params).stream()
        .filter(step -> !text(step, "table").startsWith("<"))
        .filter(step -> Long.parseLong("0" + text(step, "rows").replaceAll(" .*", "")) >= MANY)
        .filter(
            step ->
                text(step, "type").equals("ALL")
                    || text(step, "Extra").matches(".*Using (filesort|temporary).*"))
        .toList();
  }

  private static String text(Map<String, Object> step, String what) {
    return Objects.requireNonNullElse(step.get(what), "").toString();
  }
}
