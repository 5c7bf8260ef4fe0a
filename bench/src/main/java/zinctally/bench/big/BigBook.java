package zinctally.bench.big;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import zinctally.bench.BenchBook;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.seal.Sealer;

/**
 * {@code bench fill [--full]}: makes two books that last, {@code small} and {@code big}. The small
 * one is the demo's with long bills and invoices of 454 more items, all posted as anyone's. The big
 * one holds it as often as it is large: each time with goods, parties and papers of their own, in
 * one of eleven years; and an item with ten thousand moves. Then all that must hold is checked.
 */
public final class BigBook {
  private static final int YEARS = 11;
  private static final int ITEMS = 454;
  private static final int CUSTOMERS = 64;
  private static final int PAPERS = 930;
  private static final int LINES = 54;
  private static final int COPIES = 10;
  private static final int FULL = 100;

  private BigBook() {}

  public static void main(String[] args) {
    int copies = List.of(args).contains("--full") ? FULL : COPIES;
    String small = small();
    BenchBook big = BenchBook.empty("big");
    took("the big book, " + copies + " times the small one", () -> copy(big, small, copies));
    took("an item with ten thousand moves", () -> new BulkTrade(big, 1, 1).hot(200, 50));
    took("seals", () -> big.get(Sealer.class).seal());
    took("statistics of its tables", () -> analyze(big.sql(), big.schema()));
    boolean[] holds = {false};
    took("the check", () -> holds[0] = holds(big));
    say(big.sql());
    big.leave();
    System.exit(holds[0] ? 0 : 1);
  }

  private static String small() {
    BenchBook book = BenchBook.demo("small");
    BulkTrade trade = new BulkTrade(book, ITEMS, CUSTOMERS);
    took(
        "the small book",
        () -> {
          trade.items();
          trade.papers(PAPERS, LINES);
          book.get(Sealer.class).seal();
          analyze(book.sql(), book.schema());
        });
    say(book.sql());
    book.leave();
    return book.schema();
  }

  private static void copy(BenchBook big, String small, int copies) {
    try (Connection connection = big.source().getConnection()) {
      SingleConnectionDataSource one = new SingleConnectionDataSource(connection, true);
      JdbcClient sql = JdbcClient.create(one);
      sql.sql("set foreign_key_checks = 0, unique_checks = 0").update();
      Copied copied = new Copied(sql, small);
      for (String table : copied.filled())
        if (!table.equals("flyway_schema_history")) {
          sql.sql("delete from " + table).update();
          sql.sql("insert into " + table + columns(sql, table, small)).update();
        }
      CopiedTexts texts = new CopiedTexts(sql, one, small, copied);
      for (int copy = 1; copy < copies; copy++) {
        int years = copy % YEARS;
        copied.write(copy, years);
        texts.write(copy, years);
        added(sql, small, years);
      }
      sql.sql("update book set cut_over = date_sub(cut_over, interval ? year)")
          .param(Math.min(YEARS, copies) - 1)
          .update();
      numbersGoOn(sql);
      sql.sql("set foreign_key_checks = 1, unique_checks = 1").update();
    } catch (SQLException broken) {
      throw new IllegalStateException(broken);
    }
  }

  private static String columns(JdbcClient sql, String table, String small) {
    String columns =
        sql.sql(
                "select group_concat(concat('`', column_name, '`') order by ordinal_position)"
                    + " from information_schema.columns where table_schema = ? and table_name = ?"
                    + " and generation_expression is null")
            .params(small, table)
            .query(String.class)
            .single();
    return " (" + columns + ") select " + columns + " from " + small + "." + table;
  }

  /** What is kept added up for all goods and papers together. */
  private static void added(JdbcClient sql, String small, int years) {
    for (String sums :
        List.of(
            "account_month (account_id, month, debit, credit) select account_id,"
                + " date_sub(month, interval :y year), s.debit, s.credit from :s.account_month s"
                + " on duplicate key update debit = account_month.debit + values(debit),"
                + " credit = account_month.credit + values(credit)",
            "stock_month (account_id, month, value) select account_id,"
                + " date_sub(month, interval :y year), s.value from :s.stock_month s"
                + " on duplicate key update value = stock_month.value + values(value)",
            "paper_number (kind, year, last) select kind, year - :y, s.last from :s.paper_number s"
                + " on duplicate key update last = paper_number.last + values(last)"))
      sql.sql("insert into " + sums.replace(":y", String.valueOf(years)).replace(":s", small))
          .update();
  }

  private static void numbersGoOn(JdbcClient sql) {
    for (String[] one :
        new String[][] {
          {"item_id", "item", "id"},
          {"paper_sequence", "paper", "sequence"},
          {"cost_event_id", "cost_event", "id"},
          {"journal_id", "journal", "id"}
        }) {
      long last = sql.sql("select max(" + one[2] + ") from " + one[1]).query(Long.class).single();
      sql.sql("alter sequence " + one[0] + " restart " + (last + 1)).update();
    }
  }

  private static void analyze(JdbcClient sql, String schema) {
    for (String table :
        sql.sql(
                "select table_name from information_schema.tables where table_schema = ?"
                    + " and table_type = 'BASE TABLE'")
            .param(schema)
            .query(String.class)
            .list()) sql.sql("analyze table " + table).query((row, n) -> row.getString(1)).list();
  }

  private static boolean holds(BenchBook book) {
    boolean holds = true;
    for (Finding finding : book.get(CheckStore.class).findings())
      if (!finding.holds()) {
        holds = false;
        System.out.println(
            "FAULT " + finding.what() + ": " + finding.count() + ", such as " + finding.faults());
      }
    return holds;
  }

  private static void say(JdbcClient sql) {
    for (String table :
        List.of("item", "party", "paper", "quantity_move", "cost_event", "journal_line"))
      System.out.printf(
          Locale.ROOT,
          "  %-16s %,14d%n",
          table,
          sql.sql("select count(*) from " + table).query(Long.class).single());
  }

  private static void took(String what, Runnable work) {
    long start = System.nanoTime();
    work.run();
    System.out.printf(Locale.ROOT, "%-66s %10.1f s%n", what, (System.nanoTime() - start) / 1e9);
  }
}
