package zinctally.store.listing;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.PaperKind;

/**
 * A list that can be filtered, sorted, added up, paged by key and exported. The SQL is written by
 * us; only values come from outside.
 *
 * @param from what follows {@code from}, always with a {@code where} that conditions can be added
 *     to
 * @param params named parameters of {@code from}
 * @param id a unique expression that breaks ties
 * @param sort key of the column it is sorted by at first, one that is never null; with a leading
 *     minus, descending
 * @param of the papers it is a list of; none when it is about something else
 * @param subtotals what rows come to that belong together, the outermost first
 * @param running how a column that adds up row by row is worked out a page at a time; null for none
 * @param bounds how much of it is read for a page
 */
public record Listing(
    String name,
    String from,
    Map<String, Object> params,
    List<Column> columns,
    String id,
    String sort,
    String empty,
    List<PaperKind> of,
    List<Subtotal> subtotals,
    @Nullable Running running,
    Bounds bounds) {
  private static final int ALL = Integer.MAX_VALUE;

  /** What is asked row by row takes so many times as long as what stands in the row. */
  private static final int DEARER = 10;

  /**
   * How much of a list is read for a page.
   *
   * @param most rows that are added up at most, so that no page waits for the whole history
   * @param orderedUpTo rows among which any order but its own is made, the first of its own; zero
   *     for all
   * @param atOnce whether all of it must be worked out before its first row is known, so that what
   *     it comes to is asked together with the first page
   */
  record Bounds(int most, int orderedUpTo, boolean atOnce) {
    private static final Bounds USUAL = new Bounds(10_000, 0, false);
  }

  public Listing(
      String name,
      String from,
      Map<String, Object> params,
      List<Column> columns,
      String id,
      String sort,
      String empty) {
    this(name, from, params, columns, id, sort, empty, List.of(), List.of(), null, Bounds.USUAL);
  }

  /**
   * What rows that follow each other come to, shown after the last of them.
   *
   * @param by key of the column whose value they share, and whose name it bears
   * @param last key of a column that is not zero on the last of them
   * @param sums keys of columns with what they come to, by the columns under which that stands
   */
  public record Subtotal(String by, String last, Map<String, String> sums) {}

  /** The same with subtotals, the outermost first. */
  public Listing subtotalled(List<Subtotal> levels) {
    return new Listing(name, from, params, columns, id, sort, empty, of, levels, running, bounds);
  }

  /**
   * A column that adds up row by row in the list's own order, such as a balance. For files, and for
   * rows that are ordered or let through by it, the list's own SQL says it; for a page it is added
   * up from what stands before, so that no page works through all rows.
   *
   * @param column its key
   * @param from the list's {@code from} without it
   * @param part an expression over that: what a row adds
   * @param sum a statement for what rows add, to which conditions on the list's order can be added
   * @param before what stands before the first row
   * @param anywhere whether {@code sum} reads only so much that it can be asked for single rows;
   *     else it is only for the list's own order
   */
  public record Running(
      String column, String from, String part, String sum, long before, boolean anywhere) {
    /** Whether a page is added up from what stands before. */
    boolean addsUp(Listing listing, Ask ask) {
      return ask.isOwnOrder(listing) || anywhere && !ask.names(column);
    }
  }

  /** The same with a column that adds up. */
  Listing running(Running column) {
    return new Listing(name, from, params, columns, id, sort, empty, of, subtotals, column, bounds);
  }

  /** The same with what each row adds in the place of what rows add up to. */
  Listing parts() {
    if (running == null) return this;
    List<Column> parts =
        columns.stream()
            .map(c -> c.key().equals(running.column) ? c.saying(running.part) : c)
            .toList();
    return new Listing(
        name, running.from, params, parts, id, sort, empty, of, subtotals, null, bounds);
  }

  /** Those that stand when it is sorted so: in another order than its own, none. */
  public List<Subtotal> subtotals(String asked) {
    return asked.isEmpty() || asked.equals(sort) ? subtotals : List.of();
  }

  /**
   * The same with columns that lead somewhere.
   *
   * @param where each leads; empty for nowhere
   */
  public Listing leading(Function<Column, String> where) {
    List<Column> led = columns.stream().map(c -> c.leading(where.apply(c))).toList();
    return new Listing(name, from, params, led, id, sort, empty, of, subtotals, running, bounds);
  }

  /** The same, added up to more rows: for lists that grow with what is sold, not with sales. */
  public Listing addedUpTo(int rows) {
    return bounded(new Bounds(rows, bounds.orderedUpTo, bounds.atOnce));
  }

  /**
   * The same, for lists that grow with the history and whose rows are found by their id: an order
   * other than its own is made among so many rows, those that come first in its own.
   */
  public Listing orderedUpTo(int rows) {
    return bounded(new Bounds(bounds.most, rows, bounds.atOnce));
  }

  /**
   * The same, for lists without an index for their own order and whose rows are found by their id:
   * which rows come first is asked of what they are ordered by alone, in every order.
   */
  public Listing ordersFirst() {
    return orderedUpTo(ALL);
  }

  /** The same, for lists of which all must be worked out before the first row is known. */
  Listing atOnce() {
    return bounded(new Bounds(bounds.most, bounds.orderedUpTo, true));
  }

  private Listing bounded(Bounds other) {
    return new Listing(name, from, params, columns, id, sort, empty, of, subtotals, running, other);
  }

  /** Whether which rows come first is asked before they are read whole. */
  boolean ordersFirst(String sort) {
    return bounds.orderedUpTo == ALL || orderedAmong(sort) < ALL;
  }

  /**
   * Among how many rows, the first of its own order, one that is asked for is made.
   *
   * @return {@link Integer#MAX_VALUE} for all
   */
  public int orderedAmong(String asked) {
    Column by = column(bare(asked));
    if (bounds.orderedUpTo == 0 || bounds.orderedUpTo == ALL) return ALL;
    if (by == null || by.drawn() || bare(asked).equals(bare(sort))) return ALL;
    if (running != null && by.key().equals(running.column)) return ALL;
    return by.sql().contains("(select") ? bounds.orderedUpTo / DEARER : bounds.orderedUpTo;
  }

  /** The same, of its rows only those for which a condition of SQL holds, too. */
  Listing also(String condition) {
    return new Listing(
        name,
        from + " and " + condition,
        params,
        columns,
        id,
        sort,
        empty,
        of,
        subtotals,
        null,
        bounds);
  }

  /** The same, a list of papers of these kinds, whose names its SQL has as {@code :kinds}. */
  Listing of(PaperKind... kinds) {
    Map<String, Object> all = new HashMap<>(params);
    all.put("kinds", Stream.of(kinds).map(PaperKind::name).toList());
    return new Listing(
        name, from, all, columns, id, sort, empty, List.of(kinds), subtotals, running, bounds);
  }

  /** What a column holds, and so how it is shown, compared and exported. */
  public enum Type {
    TEXT,
    DATE,
    TIME,
    MONEY,
    QUANTITY,
    PRICE,
    PERCENT,
    NUMBER,
    /** Months before this one and what each changed a figure by, to be drawn; not for files. */
    TREND,
    HIDDEN;

    public boolean figure() {
      return this == MONEY
          || this == QUANTITY
          || this == PRICE
          || this == PERCENT
          || this == NUMBER;
    }
  }

  /**
   * @param key names it in addresses
   * @param sql an expression over {@code from}
   * @param link where it leads, with {@code {key}} of any column; empty for nowhere
   * @param summed whether the list says what it comes to; money is, unless it says otherwise
   * @param cost whether it tells what goods cost, or what is earned, which not everyone sees
   * @param found the condition by which a word is found in it, with {@code {word}} for the pattern;
   *     empty when words that are looked for in the whole list are not looked for in it
   */
  public record Column(
      String key,
      String heading,
      String sql,
      Type type,
      String link,
      boolean summed,
      boolean cost,
      String found) {
    public Column(String key, String heading, String sql, Type type, String link) {
      this(key, heading, sql, type, link, type == Type.MONEY, false, like(sql));
    }

    private static String like(String sql) {
      return "coalesce(" + sql + ", '') like {word}";
    }

    public Column(String key, String heading, String sql, Type type) {
      this(key, heading, sql, type, "");
    }

    /** The same, added up: figures of one unit, such as quantities of one item. */
    public Column addedUp() {
      return new Column(key, heading, sql, type, link, true, cost, found);
    }

    private Column leading(String where) {
      return new Column(key, heading, sql, type, where, summed, cost, found);
    }

    private Column saying(String other) {
      return new Column(
          key, heading, other, type, link, summed, cost, found.isEmpty() ? "" : like(other));
    }

    private Column hidden() {
      return new Column(key, heading, sql, Type.HIDDEN, link, false, cost, found);
    }

    /** Whether it is a picture: a list is neither sorted by it nor narrowed. */
    public boolean drawn() {
      return type == Type.TREND;
    }

    /** The same, never added up: sums of these would mean nothing. */
    public Column apart() {
      return new Column(key, heading, sql, type, link, false, cost, found);
    }

    /**
     * The same, not looked into for words of the whole list: what it says is gathered row by row,
     * which no page of a long list waits for. It can be narrowed by itself.
     */
    public Column alone() {
      return new Column(key, heading, sql, type, link, summed, cost, "");
    }

    /**
     * The same, found by a condition that need not work out what each row says.
     *
     * @param condition with {@code {word}} where the pattern stands
     */
    public Column foundBy(String condition) {
      return new Column(key, heading, sql, type, link, summed, cost, condition);
    }

    /** Whether words that are looked for in the list are looked for in it. */
    public boolean searched() {
      return !found.isEmpty();
    }

    /** The condition by which a word is found when it is looked for in it alone. */
    String narrowed() {
      return found.isEmpty() ? like(sql) : found;
    }

    /** The same, only for who sees what goods cost. */
    public Column ofCost() {
      return new Column(key, heading, sql, type, link, summed, true, found);
    }
  }

  /** The same without some columns; they can still be sorted by and led from. */
  public Listing without(Collection<String> keys) {
    return with(columns.stream().map(c -> keys.contains(c.key()) ? c.hidden() : c).toList());
  }

  /** The same for who does not see what goods cost: without those columns, not merely hidden. */
  public Listing withoutCosts() {
    return with(columns.stream().filter(c -> !c.cost()).toList());
  }

  /** The same as a file has it: without what is drawn. */
  public Listing written() {
    return with(columns.stream().map(c -> c.drawn() ? c.hidden() : c).toList());
  }

  private Listing with(List<Column> others) {
    return new Listing(name, from, params, others, id, sort, empty, of, subtotals, running, bounds);
  }

  /** Whether an order that is asked for is one this list has. */
  public boolean sorts(String sort) {
    Column by = column(bare(sort));
    return by != null && !by.drawn();
  }

  static String bare(String sort) {
    return sort.startsWith("-") ? sort.substring(1) : sort;
  }

  public @Nullable Column column(String key) {
    return columns.stream().filter(c -> c.key().equals(key)).findFirst().orElse(null);
  }

  public List<Column> shown() {
    return columns.stream().filter(c -> c.type() != Type.HIDDEN).toList();
  }

  public List<Column> summed() {
    return columns.stream().filter(Column::summed).toList();
  }
}
