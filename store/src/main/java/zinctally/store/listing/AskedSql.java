package zinctally.store.listing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import zinctally.store.find.Like;

/** What is asked of a listing, as SQL and its parameters; all that came from outside is one. */
final class AskedSql {
  static final char CUT = '\u001f';
  private static final int MOST_WORDS = 8;
  private final Listing listing;
  private final Map<String, Object> params;
  private final List<String> conditions = new ArrayList<>();
  private final String ownKey;
  private final String ownOrder;
  private final String key;
  private final String order;
  private final int among;
  private final boolean ordersFirst;
  private String after = "";

  AskedSql(Listing listing, Ask ask) {
    this.listing = listing;
    this.params = new HashMap<>(listing.params());
    boolean own = !listing.sorts(ask.sort());
    String sort = own ? listing.sort() : ask.sort();
    boolean down = sort.startsWith("-");
    Listing.Column by = Objects.requireNonNull(listing.column(Listing.bare(sort)));
    // the column of the first sort is never null, so that its index gives the order
    this.ownKey = Objects.requireNonNull(listing.column(Listing.bare(listing.sort()))).sql();
    this.ownOrder = listing.sort().startsWith("-") ? " desc" : "";
    this.key =
        Listing.bare(sort).equals(Listing.bare(listing.sort()))
            ? ownKey
            : "coalesce(" + by.sql() + ", " + (by.type().figure() ? "0" : "''") + ")";
    this.order = down ? " desc" : "";
    this.among = listing.orderedAmong(sort);
    this.ordersFirst = listing.ordersFirst(sort);
    filter(ask.filter());
    ask.narrow().forEach(this::narrow);
    after(ask.after(), down);
  }

  Map<String, Object> params() {
    return params;
  }

  /** Whether which rows come first is to be asked before all of them is read. */
  boolean ordersFirst() {
    return ordersFirst;
  }

  /** The rows in their order, with {@code _key} and {@code _id} to go on from. */
  String rows(int atMost) {
    return whole() + goingOn(" and ", key, listing.id(), atMost);
  }

  /** The first rows, and with each how many there are and what all come to. */
  String rowsAndSums(int atMost) {
    return "select _all.*, count(*) over () as _rows"
        + listing.summed().stream()
            .map(c -> ", sum(`" + c.key() + "`) over () as `" + sum(c) + "`")
            .collect(Collectors.joining())
        + " from ("
        + whole()
        + ") _all"
        + goingOn(" where ", "_key", "_id", atMost);
  }

  /** What a column's sum is called beside the column itself. */
  static String sum(Listing.Column column) {
    return "_sum_" + column.key();
  }

  /** {@code _key} and {@code _id} of the rows in their order, made among the first of the list. */
  String keys(int atMost) {
    String all = "select " + key + " as _key, " + listing.id() + " as _id" + from();
    if (among == Integer.MAX_VALUE) return all + goingOn(" and ", key, listing.id(), atMost);
    return "select _key, _id from ("
        + all
        + " order by "
        + ownKey
        + ownOrder
        + ", "
        + listing.id()
        + ownOrder
        + " limit "
        + among
        + ") _first"
        + goingOn(" where ", "_key", "_id", atMost);
  }

  /** In the order asked for, from where it goes on. */
  private String goingOn(String joined, String key, String id, int atMost) {
    return (after.isEmpty() ? "" : joined + after.formatted(key, id))
        + " order by "
        + key
        + order
        + ", "
        + id
        + order
        + (atMost == Integer.MAX_VALUE ? "" : " limit " + atMost);
  }

  /** Some rows in no order, by {@code :ids}. */
  String some() {
    return whole() + " and " + listing.id() + " in (:ids)";
  }

  private String whole() {
    return "select "
        + listing.columns().stream()
            .map(c -> c.sql() + " as `" + c.key() + "`")
            .collect(Collectors.joining(", "))
        + ", "
        + key
        + " as _key, "
        + listing.id()
        + " as _id"
        + from();
  }

  /** How many there are, counted no further than to a bound. */
  String count(int atMost) {
    return "select count(*) from (select 1" + from() + " limit " + atMost + ") _asked";
  }

  /** Whether a row is worth counting before it is added up: what it says is asked row by row. */
  boolean countsDearly() {
    return listing.summed().stream().anyMatch(c -> c.sql().contains("(select"));
  }

  /** How many there are and what they come to, no further than to a bound. */
  String sums(int atMost) {
    return "select count(*) as _rows"
        + listing.summed().stream()
            .map(c -> ", sum(`" + c.key() + "`) as `" + c.key() + "`")
            .collect(Collectors.joining())
        + " from (select 1 as _row"
        + listing.summed().stream()
            .map(c -> ", " + c.sql() + " as `" + c.key() + "`")
            .collect(Collectors.joining())
        + from()
        + " limit "
        + atMost
        + ") _asked";
  }

  private String from() {
    return " from "
        + listing.from()
        + conditions.stream().map(c -> " and " + c).collect(Collectors.joining());
  }

  private void filter(String filter) {
    for (String word : words(filter))
      conditions.add(
          listing.columns().stream()
              .filter(Listing.Column::searched)
              .filter(c -> c.type() == Listing.Type.TEXT || c.type() == Listing.Type.DATE)
              .map(c -> like(c, pattern(word)))
              .collect(Collectors.joining(" or ", "(", ")")));
  }

  private void narrow(Narrow narrow) {
    Listing.Column column = listing.column(narrow.column());
    if (column == null || column.drawn() || column.type() == Listing.Type.HIDDEN) return;
    if (narrow instanceof Narrow.Words words) {
      if (words.either().isEmpty()) return;
      conditions.add(
          words.either().stream()
              .limit(MOST_WORDS)
              .map(
                  all ->
                      all.stream()
                          .limit(MOST_WORDS)
                          .map(word -> like(column, pattern(word)))
                          .collect(Collectors.joining(" and ", "(", ")")))
              .collect(Collectors.joining(" or ", "(", ")")));
    } else if (narrow instanceof Narrow.Between between) {
      if (between.from() != null)
        conditions.add("(" + column.sql() + ") >= " + param(between.from()));
      if (between.to() instanceof LocalDate day && column.type() == Listing.Type.TIME)
        conditions.add("(" + column.sql() + ") < " + param(day.plusDays(1)));
      else if (between.to() != null)
        conditions.add("(" + column.sql() + ") <= " + param(between.to()));
    }
  }

  /** Goes on after a row, of which {@code %1$s} is the key and {@code %2$s} the id. */
  private void after(String row, boolean down) {
    int cut = row.indexOf(CUT);
    if (cut < 0) return;
    String afterKey = param(row.substring(0, cut));
    String afterId = param(row.substring(cut + 1));
    after =
        "%1$s "
            + (down ? "<= " : ">= ")
            + afterKey
            + " and (%1$s, %2$s) "
            + (down ? "<" : ">")
            + " ("
            + afterKey
            + ", "
            + afterId
            + ")";
  }

  /** A word anywhere, without the sign that stands after it where a list gathers several. */
  private static String pattern(String word) {
    return "%" + Like.escaped(word.replaceAll(";+$", "")) + "%";
  }

  private String like(Listing.Column column, String pattern) {
    return column.narrowed().replace("{word}", param(pattern));
  }

  private String param(Object value) {
    String name = "asked" + params.size();
    params.put(name, value);
    return ":" + name;
  }

  private static List<String> words(String text) {
    List<String> words = new ArrayList<>();
    for (String word : text.toLowerCase(Locale.ROOT).split("\\s+"))
      if (!word.isEmpty() && words.size() < MOST_WORDS) words.add(word);
    return words;
  }
}
