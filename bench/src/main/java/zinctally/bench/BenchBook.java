package zinctally.bench;

import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javax.sql.DataSource;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.StoreConfiguration;
import zinctally.store.book.BookStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** A book on the real database, thrown away at the end, with the settings the application has. */
public final class BenchBook implements AutoCloseable {
  private final ConfigurableApplicationContext context;
  private final String schema;

  @Configuration
  @EnableAutoConfiguration
  @Import(StoreConfiguration.class)
  static class Wiring {
    @Bean
    PasswordEncoder hashing() {
      return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }
  }

  /** A book that is still there for the next program. */
  static BenchBook lasting(String name) {
    return new BenchBook(name, false, "bench").begun();
  }

  /** The demo's book, of which another can be made; it lasts. */
  public static BenchBook demo(String name) {
    return new BenchBook(name, true, "demo");
  }

  /** An empty book that lasts, not begun. */
  public static BenchBook empty(String name) {
    return new BenchBook(name, true, "bench");
  }

  BenchBook(String name) {
    this(name, true, "bench");
    begun();
  }

  private BenchBook(String name, boolean fresh, String profile) {
    schema = "zinc_bench_" + name;
    String server =
        Objects.requireNonNull(System.getenv("ZINC_DB_SERVER"), "run this with ./zinc-tally bench");
    if (fresh) clear(server, schema);
    context =
        new SpringApplicationBuilder(Wiring.class)
            .web(WebApplicationType.NONE)
            .profiles(profile)
            .properties(
                Map.of(
                    "spring.datasource.url", server + schema + "?createDatabaseIfNotExist=true",
                    "spring.datasource.username", System.getenv("ZINC_DB_USER"),
                    "spring.datasource.password", System.getenv("ZINC_DB_PASSWORD"),
                    "spring.datasource.hikari.transaction-isolation", "TRANSACTION_READ_COMMITTED",
                    "spring.datasource.hikari.data-source-properties.useBulkStmts", "true",
                    "logging.level.root", "warn",
                    "spring.main.banner-mode", "off"))
            .run();
  }

  private BenchBook begun() {
    get(BookStore.class).save("Bench", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, false);
    return this;
  }

  /** The name of its schema. */
  public String schema() {
    return schema;
  }

  /** Lets go of it; it stays for the next program. */
  public void leave() {
    context.close();
  }

  /** Drops what a run that was broken off has left. */
  private static void clear(String server, String schema) {
    try (var connection =
            DriverManager.getConnection(
                server, System.getenv("ZINC_DB_USER"), System.getenv("ZINC_DB_PASSWORD"));
        var statement = connection.createStatement()) {
      statement.execute("drop database if exists " + schema);
    } catch (SQLException broken) {
      throw new IllegalStateException(broken);
    }
  }

  /** One of the store's beans. */
  public <T> T get(Class<T> type) {
    return context.getBean(type);
  }

  /** Its database, with all rights. */
  public JdbcClient sql() {
    return get(JdbcClient.class);
  }

  public DataSource source() {
    return get(DataSource.class);
  }

  void item(String code, String method) {
    sql()
        .sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit)
            select next value for item_id, ?, ?, 'STOCKED', min(id), ?, 'H87' from item_group
            """)
        .params(code, "Item " + code, method)
        .update();
  }

  Draft bill(LocalDate date, List<Map<String, String>> rows) {
    return new Draft(
        PaperKind.BILL,
        Map.of("date", date.toString(), "supplier", "Orrin Joinery", "place", "Store"),
        rows);
  }

  Draft invoice(LocalDate date, List<Map<String, String>> rows) {
    return new Draft(
        PaperKind.INVOICE,
        Map.of("date", date.toString(), "customer", "Fenwick Garden", "place", "Store"),
        rows);
  }

  /** Rows of item, quantity and price, taxed at the standard rate. */
  static List<Map<String, String>> rows(String... cells) {
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < cells.length; i += 3) {
      Map<String, String> row = new HashMap<>();
      row.put("item", cells[i]);
      row.put("quantity", cells[i + 1]);
      row.put("price", cells[i + 2]);
      row.put("tax", "S");
      rows.add(row);
    }
    return rows;
  }

  long draft(Draft draft) {
    return get(DraftStore.class).begin(draft, "bench");
  }

  long post(Draft draft) {
    return get(Posting.class).post(draft(draft), "bench");
  }

  @Override
  public void close() {
    sql().sql("drop database " + schema).update();
    context.close();
  }
}
