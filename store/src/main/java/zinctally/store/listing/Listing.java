package zinctally.store.listing;

import java.util.List;
import java.util.Map;

/**
 * A list that can be filtered, sorted, paged by key and exported. The SQL is written by us; only
 * values come from outside.
 *
 * @param from what follows {@code from}, always with a {@code where} that conditions can be added
 *     to
 * @param params named parameters of {@code from}
 * @param id a unique expression that breaks ties
 * @param sort key of the column it is sorted by at first, one that is never null; with a leading
 *     minus, descending
 */
public record Listing(
    String name,
    String from,
    Map<String, Object> params,
    List<Column> columns,
    String id,
    String sort,
    String empty) {
  /** What a column holds, and so how it is shown, compared and exported. */
  public enum Type {
    TEXT,
    DATE,
    TIME,
    MONEY,
    QUANTITY,
    PERCENT,
    NUMBER,
    HIDDEN;

    public boolean figure() {
      return this == MONEY || this == QUANTITY || this == PERCENT || this == NUMBER;
    }
  }

  /**
   * @param key names it in addresses
   * @param sql an expression over {@code from}
   * @param link where it leads, with {@code {key}} of any column; empty for nowhere
   */
  public record Column(String key, String heading, String sql, Type type, String link) {
    public Column(String key, String heading, String sql, Type type) {
      this(key, heading, sql, type, "");
    }
  }

  public Column column(String key) {
    return columns.stream().filter(c -> c.key().equals(key)).findFirst().orElse(null);
  }

  public List<Column> shown() {
    return columns.stream().filter(c -> c.type() != Type.HIDDEN).toList();
  }
}
