package zinctally.store.sql;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;

/** Rows of one table that are written together: few of them in one command, many as a batch. */
public final class Rows {
  /** Above so many the text of one command grows longer than a batch takes. */
  private static final int AT_ONCE = 60;

  private static final String VALUES = "values (";

  private Rows() {}

  /**
   * Writes rows; nothing for none.
   *
   * @param insert the statement for one row, with {@code values (?, ...)} and whatever follows
   * @param rows their values, in the order of the marks
   */
  public static void write(JdbcTemplate jdbc, String insert, List<Object[]> rows) {
    if (rows.isEmpty()) return;
    if (rows.size() > AT_ONCE) jdbc.batchUpdate(insert, rows);
    else jdbc.update(many(insert, rows.size()), values(rows));
  }

  /**
   * Writes rows of a table whose {@code id} the database gives them.
   *
   * @param insert as for {@link #write}
   * @return their ids, in their order
   */
  public static List<Long> numbered(JdbcTemplate jdbc, String insert, List<Object[]> rows) {
    List<Long> ids = new ArrayList<>();
    for (int from = 0; from < rows.size(); from += AT_ONCE) {
      List<Object[]> some = rows.subList(from, Math.min(rows.size(), from + AT_ONCE));
      ids.addAll(
          jdbc.queryForList(many(insert, some.size()) + " returning id", Long.class, values(some)));
    }
    return ids;
  }

  private static Object[] values(List<Object[]> rows) {
    return rows.stream().flatMap(Arrays::stream).toArray();
  }

  /** The statement with the marks of its row as often as there are rows. */
  static String many(String insert, int rows) {
    int open = insert.indexOf(VALUES) + VALUES.length() - 1;
    int close = open;
    for (int depth = 0; ; close++) {
      if (insert.charAt(close) == '(') depth++;
      if (insert.charAt(close) == ')' && --depth == 0) break;
    }
    String row = insert.substring(open, close + 1);
    return insert.substring(0, close + 1)
        + (", " + row).repeat(rows - 1)
        + insert.substring(close + 1);
  }
}
