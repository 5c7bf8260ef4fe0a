package zinctally.store.seal;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import zinctally.core.seal.Canonical;
import zinctally.core.seal.Leaf;

/**
 * Records read for some leaves, in the order in which they are written down. The database gives
 * whole numbers, decimals, days and moments as the canonical form has them.
 */
final class Written {
  private final JdbcTemplate jdbc;
  private final long from;
  private final long to;
  private final Map<Long, Canonical> figures = new TreeMap<>();
  private final Map<Long, Canonical> words = new HashMap<>();

  /** Of leaves with ids from one to another, both included. */
  Written(JdbcTemplate jdbc, long from, long to) {
    this.jdbc = jdbc;
    this.from = from;
    this.to = to;
  }

  /**
   * Begins a leaf for each row.
   *
   * @param select with both ids as its parameters; gives the leaf's id first, then the fields
   */
  Written leaf(String record, String select) {
    read(
        select,
        row -> {
          Canonical written = new Canonical();
          figures.put(row.getLong(1), written);
          words.put(row.getLong(1), new Canonical());
          record(written, record, row, 2, row.getMetaData().getColumnCount());
        });
    return this;
  }

  /** Adds rows to figures of leaves that are there. */
  Written figures(String record, String select) {
    read(
        select,
        row -> {
          Canonical written = figures.get(row.getLong(1));
          if (written != null) record(written, record, row, 2, row.getMetaData().getColumnCount());
        });
    return this;
  }

  /** Adds rows to words of leaves that are there. */
  Written words(String record, String select) {
    read(
        select,
        row -> {
          Canonical written = words.get(row.getLong(1));
          if (written != null) record(written, record, row, 2, row.getMetaData().getColumnCount());
        });
    return this;
  }

  /**
   * Adds rows to both.
   *
   * @param shared so many fields stand in both records, first
   * @param own so many of the figures' follow; the rest are the words'
   */
  Written both(String figure, String word, int shared, int own, String select) {
    read(
        select,
        row -> {
          Canonical written = figures.get(row.getLong(1));
          Canonical said = words.get(row.getLong(1));
          if (written == null || said == null) return;
          record(written, figure, row, 2, 1 + shared + own);
          said.begin(word);
          for (int c = 2; c <= 1 + shared; c++) said.field(row.getString(c));
          int last = row.getMetaData().getColumnCount();
          for (int c = 2 + shared + own; c <= last; c++) said.field(row.getString(c));
          said.end();
        });
    return this;
  }

  Map<Long, Leaf> leaves() {
    Map<Long, Leaf> leaves = new TreeMap<>();
    figures.forEach(
        (id, written) -> {
          Canonical said = words.getOrDefault(id, new Canonical());
          leaves.put(id, new Leaf(written.hash(), said.hash()));
        });
    return leaves;
  }

  /** Something is done with a row. */
  private interface Each {
    void row(ResultSet row) throws SQLException;
  }

  private void read(String select, Each each) {
    jdbc.query(select, each::row, from, to);
  }

  private static void record(Canonical into, String name, ResultSet row, int first, int last)
      throws SQLException {
    into.begin(name);
    for (int c = first; c <= last; c++) into.field(row.getString(c));
    into.end();
  }
}
