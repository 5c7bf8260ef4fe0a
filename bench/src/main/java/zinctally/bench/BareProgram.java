package zinctally.bench;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import javax.sql.DataSource;

/**
 * What a posting is held against: the very rows it wrote, written by plain JDBC into tables of the
 * same shape, indexes and foreign keys, those of a table in one command, in one transaction, with
 * the same durability and nothing else.
 */
final class BareProgram {
  /** A table and the condition that finds a paper's rows in it. */
  private record Source(String table, String where, boolean upsert) {}

  private static final List<Source> SOURCES =
      List.of(
          new Source("paper", "id = ?", false),
          new Source("paper_version", "paper_id = ?", false),
          new Source("posting", "paper_id = ?", false),
          new Source("tax_entry", "paper_id = ?", false),
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
        keys(connection, s.table);
      }
    }
  }

  /** Gives a table the foreign keys of the one it is like, to the very rows those lead to. */
  private static void keys(Connection connection, String table) throws SQLException {
    try (PreparedStatement statement =
            connection.prepareStatement(
                """
                select group_concat(column_name order by ordinal_position),
                  max(referenced_table_name),
                  group_concat(referenced_column_name order by ordinal_position)
                from information_schema.key_column_usage
                where table_schema = database() and table_name = ?
                  and referenced_table_name is not null
                group by constraint_name
                """);
        var alter = connection.createStatement()) {
      statement.setString(1, table);
      try (ResultSet keys = statement.executeQuery()) {
        while (keys.next())
          alter.execute(
              "alter table bare_%s add foreign key (%s) references %s (%s)"
                  .formatted(table, keys.getString(1), keys.getString(2), keys.getString(3)));
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
            int mark = 1;
            for (Object[] row : batch.rows)
              for (Object value : row) statement.setObject(mark++, value);
            statement.executeUpdate();
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
          if (!rows.isEmpty()) batches.add(new Batch(insert(s, columns, rows.size()), rows));
        }
      }
    }
    return batches;
  }

  private static String insert(Source source, ResultSetMetaData columns, int rows)
      throws SQLException {
    int count = columns.getColumnCount();
    String row = "(" + String.join(", ", Collections.nCopies(count, "?")) + ")";
    String sql =
        "insert into bare_"
            + source.table
            + " values "
            + String.join(", ", Collections.nCopies(rows, row));
    if (!source.upsert) return sql;
    String last = columns.getColumnName(count);
    return sql + " on duplicate key update " + last + " = values(" + last + ")";
  }
}
