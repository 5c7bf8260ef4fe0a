package zinctally.store.seal;

import java.sql.Date;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import zinctally.core.seal.Canonical;
import zinctally.core.seal.Leaf;

/** Records read for some leaves, in the order in which they are written down. */
final class Written {
  private final JdbcTemplate jdbc;
  private final Map<Long, Canonical> figures = new TreeMap<>();
  private final Map<Long, Canonical> words = new HashMap<>();

  Written(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Reads rows into the figures of leaves that are there already, or begins them.
   *
   * @param select the leaf's id first, then the fields
   */
  Written figures(String record, boolean begins, String select, Object... params) {
    read(record, begins, select, figures, params);
    return this;
  }

  /** The same into the words. */
  Written words(String record, String select, Object... params) {
    figures.keySet().forEach(id -> words.computeIfAbsent(id, i -> new Canonical()));
    read(record, false, select, words, params);
    return this;
  }

  Map<Long, Leaf> leaves() {
    Map<Long, Leaf> leaves = new TreeMap<>();
    figures.forEach(
        (id, written) ->
            leaves.put(
                id,
                new Leaf(written.hash(), words.computeIfAbsent(id, i -> new Canonical()).hash())));
    return leaves;
  }

  private void read(
      String record, boolean begins, String select, Map<Long, Canonical> into, Object... params) {
    jdbc.query(
        select,
        row -> {
          long id = row.getLong(1);
          Canonical written = into.get(id);
          if (written == null && begins) {
            written = new Canonical();
            into.put(id, written);
          }
          if (written != null) written.record(record, fields(row));
        },
        params);
  }

  private static List<@Nullable Object> fields(ResultSet row) throws SQLException {
    int columns = row.getMetaData().getColumnCount();
    @Nullable Object[] fields = new Object[columns - 1];
    for (int c = 2; c <= columns; c++) {
      Object value = row.getObject(c);
      if (value instanceof Timestamp moment) value = moment.toLocalDateTime();
      else if (value instanceof Date day) value = day.toLocalDate();
      fields[c - 2] = value;
    }
    return new ArrayList<>(Arrays.asList(fields));
  }
}
