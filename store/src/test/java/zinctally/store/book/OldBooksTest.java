package zinctally.store.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.io.InputStreamResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.jdbc.datasource.init.ScriptUtils;
import zinctally.core.papers.Place;
import zinctally.store.FreshBook;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;

/** Books as earlier versions left them, with the demo's goods and papers. */
class OldBooksTest {
  @ParameterizedTest(name = "made by schema version {0}")
  @ValueSource(ints = {6, 10, 13, 14, 16, 18, 23, 26, 28, 29})
  void a_book_of_an_earlier_version_goes_on_with_the_same_figures_and_all_of_it_holds(int version)
      throws IOException, SQLException {
    String schema = FreshBook.newSchema();
    try (SingleConnectionDataSource database = database(schema)) {
      read(database, version);
      JdbcTemplate before = new JdbcTemplate(database);
      List<Map<String, Object>> accounts = before.queryForList(ACCOUNTS);
      List<Map<String, Object>> goods = before.queryForList(GOODS);
      try (FreshBook book = FreshBook.in(schema)) {
        assertThat(book.sql().sql(ACCOUNTS).query().listOfRows()).isEqualTo(accounts).isNotEmpty();
        assertThat(book.sql().sql(GOODS).query().listOfRows()).isEqualTo(goods).isNotEmpty();
        assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
      }
    }
  }

  @Test
  void what_was_at_the_place_for_damaged_goods_is_damaged_where_goods_are()
      throws IOException, SQLException {
    String schema = FreshBook.newSchema();
    try (SingleConnectionDataSource database = database(schema)) {
      read(database, 28);
      String damaged =
          "select count(*) from place_stock s join place p on p.id = s.place_id where ";
      long before =
          new JdbcTemplate(database)
              .queryForObject(damaged + "p.name = 'Damaged goods' and s.quantity > 0", Long.class);
      assertThat(before).isPositive();
      try (FreshBook book = FreshBook.in(schema)) {
        assertThat(
                book.sql()
                    .sql(damaged + "p.name = 'Barn store, damaged' and s.quantity > 0")
                    .query(Long.class)
                    .single())
            .isEqualTo(before);
        Place there = book.get(Catalogues.class).open().place("Damaged goods").orElseThrow();
        assertThat(there.site()).isEqualTo("Barn store");
        assertThat(there.standing().name()).isEqualTo("Damaged");
      }
    }
  }

  private static final String ACCOUNTS =
      "select a.code, sum(l.amount) from journal_line l join account a on a.id = l.account_id"
          + " group by a.code order by a.code";
  private static final String GOODS =
      "select i.code, sum(n.quantity), sum(n.value) from cost_entry n join item i on i.id ="
          + " n.item_id group by i.code order by i.code";

  private static SingleConnectionDataSource database(String schema) {
    return new SingleConnectionDataSource(
        FreshBook.server() + schema + "?createDatabaseIfNotExist=true",
        System.getenv("ZINC_DB_USER"),
        System.getenv("ZINC_DB_PASSWORD"),
        true);
  }

  private static void read(SingleConnectionDataSource database, int version)
      throws IOException, SQLException {
    try (InputStream dump =
        new GZIPInputStream(
            OldBooksTest.class.getResourceAsStream("/old-books/v" + version + ".sql.gz"))) {
      JdbcTemplate sql = new JdbcTemplate(database);
      sql.execute("set foreign_key_checks = 0, sql_mode = 'NO_AUTO_VALUE_ON_ZERO'");
      ScriptUtils.executeSqlScript(
          sql.getDataSource().getConnection(), new InputStreamResource(dump));
      sql.execute("set foreign_key_checks = 1");
    }
  }
}
