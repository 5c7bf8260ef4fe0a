package zinctally.store;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.LongSupplier;
import org.springframework.boot.autoconfigure.EnableAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Voiding;
import zinctally.store.prove.TieOutStore;

/**
 * A book of its own on the real MariaDB. Today is 2026-06-30. What one test wrote in it the next
 * does not find: it is put back as it was made.
 */
public final class FreshBook implements AutoCloseable {
  private static final Map<List<Class<?>>, Queue<Made>> IDLE = new ConcurrentHashMap<>();
  private final Made made;
  private final Runnable then;

  /** A running book and the moment at which it was new. */
  private record Made(ConfigurableApplicationContext context, String schema, Moment fresh) {
    void drop() {
      fresh.close();
      newSql().execute("drop database " + schema);
    }
  }

  @Configuration
  @EnableAutoConfiguration
  @Import(StoreConfiguration.class)
  static class Wiring {
    @Bean
    @Primary
    Clock fixed() {
      return Clock.fixed(Instant.parse("2026-06-30T12:00:00Z"), ZoneOffset.UTC);
    }
  }

  public FreshBook() {
    this(new Class<?>[0]);
  }

  /**
   * @param more wiring besides the book's own
   */
  public FreshBook(Class<?>... more) {
    Queue<Made> idle = IDLE.computeIfAbsent(List.of(more), w -> new ConcurrentLinkedQueue<>());
    Made again = idle.poll();
    made = again == null ? make(newSchema(), more) : again;
    if (again == null) Runtime.getRuntime().addShutdownHook(new Thread(made::drop));
    then =
        () -> {
          made.fresh().back();
          idle.add(made);
        };
    get(BookStore.class).save("Test book", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, false);
  }

  private FreshBook(String schema) {
    made = make(schema);
    then =
        () -> {
          made.drop();
          made.context().close();
        };
  }

  /** A book that lies in a schema already, of this or an earlier version. */
  public static FreshBook in(String schema) {
    return new FreshBook(schema);
  }

  /** A name that no book has. */
  public static String newSchema() {
    return "zinc_test_" + UUID.randomUUID().toString().replace("-", "");
  }

  /** Where the database answers. */
  public static String server() {
    return Objects.requireNonNull(
        System.getenv("ZINC_DB_SERVER"), "these tests need a database: run ./zinc-tally test");
  }

  private static Made make(String schema, Class<?>... more) {
    ConfigurableApplicationContext context =
        new SpringApplicationBuilder(Wiring.class)
            .sources(more)
            .web(org.springframework.boot.WebApplicationType.NONE)
            .properties(
                Map.of(
                    "spring.datasource.url",
                    server() + schema + "?createDatabaseIfNotExist=true",
                    "spring.datasource.username",
                    System.getenv("ZINC_DB_USER"),
                    "spring.datasource.password",
                    System.getenv("ZINC_DB_PASSWORD"),
                    "spring.datasource.hikari.transaction-isolation",
                    "TRANSACTION_READ_COMMITTED",
                    "spring.datasource.hikari.data-source-properties.useBulkStmts",
                    "true",
                    "spring.datasource.hikari.maximum-pool-size",
                    "40",
                    "spring.datasource.hikari.minimum-idle",
                    "2",
                    "logging.level.root",
                    "warn",
                    "spring.main.banner-mode",
                    "off"))
            .run();
    return new Made(context, schema, new Moment(newSql(), schema));
  }

  /** The server itself, beside the book. */
  public static JdbcTemplate newSql() {
    return new JdbcTemplate(
        new DriverManagerDataSource(
            server(), System.getenv("ZINC_DB_USER"), System.getenv("ZINC_DB_PASSWORD")));
  }

  /** All rows of the book as they are now. */
  public Moment now() {
    return new Moment(newSql(), made.schema());
  }

  public <T> T get(Class<T> type) {
    return made.context().getBean(type);
  }

  public JdbcClient sql() {
    return get(JdbcClient.class);
  }

  /** An item in the top group, counted in pieces. */
  public void item(String code, String method) {
    sql()
        .sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit)
            select next value for item_id, ?, ?, 'STOCKED', min(id), ?, 'H87' from item_group
            """)
        .params(code, "Item " + code, method)
        .update();
  }

  public long post(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    return get(Posting.class).post(draft(kind, fields, rows), "tester");
  }

  /** Posts a paper and says yes to what is only asked. */
  public long postAgreed(
      PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    Map<String, String> head = new HashMap<>(fields);
    return agreed(head, () -> post(kind, head, rows));
  }

  /** Tries again with what is asked answered with yes in the head. */
  public static long agreed(Map<String, String> head, LongSupplier post) {
    for (int asked = 0; ; asked++)
      try {
        return post.getAsLong();
      } catch (Refused refused) {
        boolean questions = refused.faults().stream().noneMatch(f -> f.question().isEmpty());
        if (!questions || asked == 2) throw refused;
        refused.faults().forEach(f -> head.merge("agreed", f.question(), (a, b) -> a + " " + b));
      }
  }

  public long draft(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    return get(DraftStore.class).begin(new Draft(kind, fields, rows), "tester");
  }

  public long bill(String date, String... itemQuantityPrice) {
    return post(
        PaperKind.BILL,
        Map.of("date", date, "supplier", "Orrin Joinery", "place", "Store"),
        rows(itemQuantityPrice));
  }

  public long invoice(String date, String... itemQuantityPrice) {
    return post(
        PaperKind.INVOICE,
        Map.of("date", date, "customer", "Fenwick Garden", "place", "Store"),
        rows(itemQuantityPrice));
  }

  /**
   * Posts a paper from Orrin Joinery or for Fenwick Garden, at the Store.
   *
   * @param columns names of the columns, with spaces between
   * @param cells row by row
   */
  public long paper(
      PaperKind kind, String date, Map<String, String> more, String columns, String... cells) {
    Map<String, String> fields =
        new HashMap<>(
            Map.of(
                "date", date,
                "supplier", "Orrin Joinery",
                "customer", "Fenwick Garden",
                "place", "Store"));
    fields.putAll(more);
    String[] names = columns.split(" ");
    List<Map<String, String>> rows = new java.util.ArrayList<>();
    for (int i = 0; i < cells.length; i += names.length) {
      Map<String, String> row = new HashMap<>();
      for (int c = 0; c < names.length; c++) row.put(names[c], cells[i + c]);
      rows.add(row);
    }
    return post(kind, fields, rows);
  }

  /** What is booked on accounts of a role for an item up to a day, minor units. */
  public long booked(String role, String code, String day) {
    return sql()
        .sql(
            """
            select coalesce(sum(l.amount), 0) from journal_line l
            join account a on a.id = l.account_id join item i on i.id = l.item_id
            where a.role = ? and i.code = ? and l.date <= ?
            """)
        .params(role, code, day)
        .query(Long.class)
        .single();
  }

  /** Millionths of an item that lines of papers still wait for. */
  public long awaited(String what, String code) {
    return sql()
        .sql(
            "select coalesce(sum(a.open_quantity), 0) from awaited a join item i on i.id = a.item_id"
                + " where a.what = ? and i.code = ?")
        .params(what, code)
        .query(Long.class)
        .single();
  }

  /** The number of a posted paper. */
  public String number(long paper) {
    return sql()
        .sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }

  /** What an item's goods are worth now, minor units. */
  public long worth(String code) {
    return sql()
        .sql("select h.worth from cost_pool h join item i on i.id = h.item_id where i.code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  /** Posts the next version of a paper. */
  public void amend(
      long paper, PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    int version =
        sql()
            .sql("select version from paper where id = ?")
            .param(paper)
            .query(Integer.class)
            .single();
    long draft =
        get(DraftStore.class)
            .beginAmending(paper, version, new Draft(kind, fields, rows), "tester");
    get(Posting.class).post(draft, "tester");
  }

  public void voidOn(String date, long paper) {
    get(Voiding.class).voidPaper(paper, LocalDate.parse(date), "", "tester");
  }

  /** Every figure that a date can be asked for: worth and balance by item, all control accounts. */
  public Map<LocalDate, String> figures() {
    Map<LocalDate, String> figures = new java.util.TreeMap<>();
    for (LocalDate date = LocalDate.of(2026, 1, 1);
        date.isBefore(LocalDate.of(2026, 7, 1));
        date = date.plusDays(1)) {
      TieOutStore tieOut = get(TieOutStore.class);
      figures.put(
          date,
          tieOut.byGroup(date)
              + " "
              + tieOut.controls(date)
              + " "
              + sql()
                  .sql(
                      "select a.code, sum(l.amount) as balance from journal_line l join account a"
                          + " on a.id = l.account_id where l.date <= ? group by a.code"
                          + " having balance <> 0 order by a.code")
                  .param(date)
                  .query((row, n) -> row.getString(1) + "=" + row.getLong(2))
                  .list()
              + " "
              + sql()
                  .sql(
                      "select place_id, item_id, sum(quantity) as moved from quantity_move"
                          + " where date <= ? group by place_id, item_id having moved <> 0"
                          + " order by 1, 2")
                  .param(date)
                  .query((row, n) -> row.getLong(1) + "/" + row.getLong(2) + "=" + row.getLong(3))
                  .list());
    }
    return figures;
  }

  /** Rows of item, quantity and price. */
  public static List<Map<String, String>> rows(String... cells) {
    List<Map<String, String>> rows = new java.util.ArrayList<>();
    for (int i = 0; i < cells.length; i += 3) {
      Map<String, String> row = new HashMap<>();
      row.put("item", cells[i]);
      row.put("quantity", cells[i + 1]);
      row.put("price", cells[i + 2]);
      rows.add(row);
    }
    return rows;
  }

  @Override
  public void close() {
    then.run();
  }
}
