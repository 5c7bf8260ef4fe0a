package zinctally.store.seal;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
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
  private final Map<Long, Of> leaves = new TreeMap<>();

  /** What is written of one leaf. */
  private record Of(Canonical figures, Canonical words) {}

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
    jdbc.query(
        select,
        row -> {
          Of of = new Of(new Canonical(), new Canonical());
          leaves.put(row.getLong(1), of);
          record(of.figures, record, fields(row, row.getMetaData().getColumnCount()));
        },
        from,
        to);
    return this;
  }

  /** Adds rows to figures of leaves that are there, each leaf's by their first field. */
  Written figures(String record, String select) {
    return read(select, 1, (of, fields) -> record(of.figures, record, fields));
  }

  /** Adds a row to words of leaves that are there. */
  Written words(String record, String select) {
    return read(select, 0, (of, fields) -> record(of.words, record, fields));
  }

  /**
   * Adds rows to both, each leaf's by the fields that both share.
   *
   * @param shared so many fields stand in both records, first: whole numbers
   * @param own so many of the figures' follow; the rest are the words'
   */
  Written both(String figure, String word, int shared, int own, String select) {
    return read(
        select,
        shared,
        (of, fields) -> {
          record(of.figures, figure, Arrays.copyOf(fields, shared + own));
          words(of, word, fields, shared, own, fields.length);
        });
  }

  /**
   * The same with one field more of the figures in the end, which is left out where it is nothing.
   */
  Written bothAndPerhaps(String figure, String word, int shared, int own, String select) {
    return read(
        select,
        shared,
        (of, fields) -> {
          int last = fields.length - 1;
          @Nullable String[] figures =
              Arrays.copyOf(fields, shared + own + (fields[last] == null ? 0 : 1));
          if (fields[last] != null) figures[shared + own] = fields[last];
          record(of.figures, figure, figures);
          words(of, word, fields, shared, own, last);
        });
  }

  private static void words(
      Of of, String word, @Nullable String[] fields, int shared, int own, int last) {
    of.words.begin(word);
    for (int f = 0; f < shared; f++) of.words.field(fields[f]);
    for (int f = shared + own; f < last; f++) of.words.field(fields[f]);
    of.words.end();
  }

  Map<Long, Leaf> leaves() {
    Map<Long, Leaf> hashed = new TreeMap<>();
    leaves.forEach((id, of) -> hashed.put(id, new Leaf(of.figures.hash(), of.words.hash())));
    return hashed;
  }

  /** Something is done with a row of a leaf that is there. */
  private interface Each {
    void row(Of of, @Nullable String[] fields);
  }

  /**
   * Rows come leaf by leaf. Within one they are put in order here: the database would have to keep
   * all of them, words too, for that.
   */
  private Written read(String select, int keys, Each each) {
    jdbc.query(
        select,
        rows -> {
          int last = rows.getMetaData().getColumnCount();
          long id = Long.MIN_VALUE;
          List<@Nullable String[]> together = new ArrayList<>();
          while (rows.next()) {
            long next = rows.getLong(1);
            if (next != id) write(id, together, keys, each);
            id = next;
            together.add(fields(rows, last));
          }
          write(id, together, keys, each);
          return true;
        },
        from,
        to);
    return this;
  }

  private void write(long id, List<@Nullable String[]> rows, int keys, Each each) {
    @Nullable Of of = leaves.get(id);
    if (rows.size() > 1) rows.sort((a, b) -> compare(a, b, keys));
    if (of != null) for (@Nullable String[] fields : rows) each.row(of, fields);
    rows.clear();
  }

  private static int compare(@Nullable String[] a, @Nullable String[] b, int keys) {
    for (int k = 0; k < keys; k++) {
      int by = Long.compare(number(a[k]), number(b[k]));
      if (by != 0) return by;
    }
    return 0;
  }

  private static long number(@Nullable String key) {
    return Long.parseLong(Objects.requireNonNull(key));
  }

  private static @Nullable String[] fields(ResultSet row, int last) throws SQLException {
    @Nullable String[] fields = new String[last - 1];
    for (int c = 2; c <= last; c++) fields[c - 2] = row.getString(c);
    return fields;
  }

  private static void record(Canonical into, String name, @Nullable String[] fields) {
    into.begin(name);
    for (@Nullable String field : fields) into.field(field);
    into.end();
  }
}
