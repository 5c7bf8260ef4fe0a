package zinctally.bench;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.sql.DataSource;

/**
 * What a posting is held against: the very rows it wrote, written by plain JDBC into tables of the
 * same shape and indexes, in one transaction, with the same durability and nothing else.
 */
final class BareProgram {
  /** A table and the condition that finds a paper's rows in it. */
  private record Source(String table, String where, boolean upsert) {}

  private static final List<Source> SOURCES =
      List.of(
          new Source("paper", "id = ?", false),
          new Source("paper_version", "paper_id = ?", false),
          new Source("paper_line", "paper_id = ?", false),
          new Source("journal", "paper_id = ?", false),
          new Source(
              "journal_line", "journal_id in (select id from journal where paper_id = ?)", false),
          new Source("cost_event", "paper_id = ?", false),
          new Source("cost_entry", "cause_id = ?", false),
          new Source("quantity_move", "paper_id = ?", false),
          new Source("open_item", "paper_id = ?", false),
          new Source("audit", "subject = 'paper' and subject_id = ?", false),
          new Source("draft", "paper_id = ?", true),
          new Source(
              "cost_pool", "item_id in (select item_id from cost_event where paper_id = ?)", true),
          new Source(
              "place_stock",
              "item_id in (select item_id from cost_event where paper_id = ?)",
              true),
          new Source(
              "item_month",
              "(item_id, month) in (select item_id, date_sub(date, interval day(date) - 1 day)"
                  + " from cost_event where paper_id = ?)",
              true),
          new Source(
              "item_year", "item_id in (select item_id from cost_event where paper_id = ?)", true),
          new Source(
              "account_month",
              "(account_id, month) in (select l.account_id, date_sub(l.date, interval day(l.date) - 1 day)"
                  + " from journal_line l join journal j on j.id = l.journal_id where j.paper_id = ?)",
              true),
          new Source(
              "stock_month",
              "(account_id, month) in (select l.account_id, date_sub(l.date, interval day(l.date) - 1 day)"
                  + " from journal_line l join journal j on j.id = l.journal_id where j.paper_id = ?)",
              true),
          new Source(
              "stock_account_month",
              "(account_id, item_id, month) in (select l.account_id, l.item_id,"
                  + " date_sub(l.date, interval day(l.date) - 1 day)"
                  + " from journal_line l join journal j on j.id = l.journal_id where j.paper_id = ?)",
              true),
          new Source(
              "stock_account_year",
              "(account_id, item_id, year) in (select l.account_id, l.item_id, year(l.date)"
                  + " from journal_line l join journal j on j.id = l.journal_id where j.paper_id = ?)",
              true),
          new Source(
              "paper_number",
              "(kind, year) in (select kind, year(date) from paper where id = ?)",
              true));

  /** One statement and the rows it takes. */
  private record Batch(String sql, List<Object[]> rows) {}

  private final DataSource source;

  BareProgram(DataSource source) throws SQLException {
    this.source = source;
    try (Connection connection = source.getConnection();
        var statement = connection.createStatement()) {
      for (Source s : SOURCES) {
        statement.execute("drop table if exists bare_" + s.table);
        statement.execute("create table bare_" + s.table + " like " + s.table);
      }
    }
  }

  /** Reads what the papers wrote, then times writing it again, a transaction for each paper. */
  long nanos(List<Long> papers) throws SQLException {
    try (Connection connection = source.getConnection()) {
      List<List<Batch>> all = new ArrayList<>();
      for (long paper : papers) all.add(batches(connection, paper));
      connection.setAutoCommit(false);
      long start = System.nanoTime();
      for (List<Batch> batches : all) {
        for (Batch batch : batches) {
          try (PreparedStatement statement = connection.prepareStatement(batch.sql)) {
            for (Object[] row : batch.rows) {
              for (int i = 0; i < row.length; i++) statement.setObject(i + 1, row[i]);
              statement.addBatch();
            }
            statement.executeBatch();
          }
        }
        connection.commit();
      }
      long nanos = System.nanoTime() - start;
      connection.setAutoCommit(true);
      return nanos;
    }
  }

  private static List<Batch> batches(Connection connection, long paper) throws SQLException {
    List<Batch> batches = new ArrayList<>();
    for (Source s : SOURCES) {
      try (PreparedStatement statement =
          connection.prepareStatement("select * from " + s.table + " where " + s.where)) {
        statement.setLong(1, paper);
        try (ResultSet result = statement.executeQuery()) {
          ResultSetMetaData columns = result.getMetaData();
          List<Object[]> rows = new ArrayList<>();
          while (result.next()) {
            Object[] row = new Object[columns.getColumnCount()];
            for (int i = 0; i < row.length; i++) row[i] = result.getObject(i + 1);
            rows.add(row);
          }
          if (!rows.isEmpty()) batches.add(new Batch(insert(s, columns), rows));
        }
      }
    }
    return batches;
  }

  private static String insert(Source source, ResultSetMetaData columns) throws SQLException {
    int count = columns.getColumnCount();
    String marks = IntStream.range(0, count).mapToObj(i -> "?").collect(Collectors.joining(", "));
    String sql = "insert into bare_" + source.table + " values (" + marks + ")";
    if (!source.upsert) return sql;
    String last = columns.getColumnName(count);
    return sql + " on duplicate key update " + last + " = values(" + last + ")";
  }
}
