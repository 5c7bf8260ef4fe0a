package zinctally.web.listing;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Totals;
import zinctally.web.shell.Say;

/** What stands in the cells of a list. */
@Component
class Cells {
  private static final Pattern KEY = Pattern.compile("\\{([\\w.]+)}");
  private static final Pattern OURS = Pattern.compile("^/[a-z]");
  private static final List<String> NEVER_BROKEN = List.of("number", "code");
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
  private final Say say;

  Cells(Say say) {
    this.say = say;
  }

  /**
   * One cell as it is shown; a whole one, such as a date or a number, never wraps.
   *
   * @param trend drawn instead of its text; null for none
   * @param bar drawn beside its text; null for none
   */
  record Cell(
      String text,
      @Nullable String href,
      boolean figure,
      boolean quiet,
      boolean whole,
      @Nullable Trend trend,
      @Nullable Bar bar) {
    Cell(String text, @Nullable String href, boolean figure, boolean quiet, boolean whole) {
      this(text, href, figure, quiet, whole, null, null);
    }
  }

  /**
   * What all rows come to.
   *
   * @param lead how many cells the words take
   * @param sums of the columns after those; empty where nothing is added up
   */
  record Foot(String words, int lead, List<String> sums) {}

  /**
   * A row as it is shown.
   *
   * @param subtotal whether it is what rows before it come to
   */
  record Row(List<Cell> cells, boolean subtotal) {}

  List<Cell> row(Listing listing, Map<String, Object> row) {
    return listing.shown().stream().map(c -> cell(c, row)).toList();
  }

  /** A row, and after it what it and those before it come to where it is the last of them. */
  List<Row> rows(Listing listing, String sort, Map<String, Object> row) {
    List<Row> rows = new ArrayList<>(List.of(new Row(row(listing, row), false)));
    for (Listing.Subtotal level : ended(listing, sort, row))
      rows.add(new Row(subtotal(listing, level, row), true));
    return rows;
  }

  /** Those that end with a row, the innermost first. */
  static List<Listing.Subtotal> ended(Listing listing, String sort, Map<String, Object> row) {
    List<Listing.Subtotal> ended = new ArrayList<>();
    for (Listing.Subtotal level : listing.subtotals(sort))
      if (row.get(level.last()) instanceof Number last && last.longValue() != 0
          || Boolean.TRUE.equals(row.get(level.last()))) ended.add(0, level);
    return ended;
  }

  private List<Cell> subtotal(Listing listing, Listing.Subtotal level, Map<String, Object> row) {
    List<Cell> cells = new ArrayList<>();
    for (Column c : listing.shown()) {
      String sum = level.sums().get(c.key());
      Object value = sum == null ? null : row.get(sum);
      String words =
          c.key().equals(level.by())
              ? said(row.get(level.by())) + ", in all"
              : value == null ? "" : text(c.type(), value);
      cells.add(new Cell(words, null, c.type().figure(), false, false));
    }
    return cells;
  }

  private static String said(@Nullable Object value) {
    return value == null || String.valueOf(value).isEmpty() ? "(empty)" : String.valueOf(value);
  }

  private Cell cell(Column column, Map<String, Object> row) {
    Object value = row.get(column.key());
    boolean figure = column.type().figure();
    if (value == null) return new Cell("", null, figure, true, false);
    if (column.type() == Listing.Type.TREND) {
      Trend trend = Trend.of(String.valueOf(value), say);
      return new Cell(trend.words(), null, false, false, true, trend, null);
    }
    String text = text(column.type(), value);
    boolean quiet =
        (column.type() == Listing.Type.MONEY || column.type() == Listing.Type.QUANTITY)
            && ((Number) value).longValue() == 0;
    boolean whole =
        figure
            || column.type() == Listing.Type.DATE
            || column.type() == Listing.Type.TIME
            || NEVER_BROKEN.contains(column.key());
    String href = column.link().isEmpty() || text.isEmpty() ? null : link(column.link(), row);
    Bar bar = column.type() == Listing.Type.PERCENT ? Bar.of((BigDecimal) value) : null;
    return new Cell(text, href, figure, quiet, whole, null, bar);
  }

  /**
   * A share of a hundred as a length.
   *
   * @param below whether it is under zero
   */
  record Bar(int width, boolean below) {
    static Bar of(BigDecimal percent) {
      return new Bar(
          percent.abs().min(HUNDRED).setScale(0, RoundingMode.HALF_UP).intValue(),
          percent.signum() < 0);
    }
  }

  private String text(Listing.Type type, @Nullable Object value) {
    if (value == null) return "";
    return switch (type) {
      case MONEY -> say.money(((Number) value).longValue());
      case QUANTITY -> say.quantity(((Number) value).longValue());
      case PRICE -> say.price((BigDecimal) value);
      case PERCENT -> say.share((BigDecimal) value);
      case TIME -> say.moment((LocalDateTime) value);
      default -> String.valueOf(value);
    };
  }

  /**
   * @param among rows among which the order was made that they stand in
   */
  Foot foot(Listing listing, Totals totals, int among) {
    List<Column> shown = listing.shown();
    int lead = 0;
    while (lead < shown.size() && !shown.get(lead).summed()) lead++;
    return new Foot(
        says(listing, totals, among),
        lead,
        shown.subList(lead, shown.size()).stream()
            .map(
                c -> c.summed() && totals.whole() ? text(c.type(), totals.sums().get(c.key())) : "")
            .toList());
  }

  /** How many there are, what to do about those that are not added up, or not in this order. */
  static String says(Listing listing, Totals totals, int among) {
    String says =
        totals.whole()
            ? "In all " + totals.rows()
            : "More than " + totals.rows() + "; filter them for what they come to";
    if (totals.whole() && totals.rows() <= among || among == Integer.MAX_VALUE) return says;
    boolean latest = listing.sort().startsWith("-");
    Column own =
        Objects.requireNonNull(
            listing.column(latest ? listing.sort().substring(1) : listing.sort()));
    return says
        + ". This order is of the "
        + (latest ? "latest " : "first ")
        + among
        + ": narrow "
        + own.heading()
        + " for others";
  }

  private static @Nullable String link(String pattern, Map<String, Object> row) {
    Matcher keys = KEY.matcher(pattern);
    // a whole address of ours
    if (keys.matches())
      return row.get(keys.group(1)) instanceof String address && OURS.matcher(address).find()
          ? address
          : null;
    keys.reset();
    StringBuilder link = new StringBuilder();
    while (keys.find()) {
      Object value = row.get(keys.group(1));
      if (value == null) return null;
      keys.appendReplacement(
          link, Matcher.quoteReplacement(Address.encoded(String.valueOf(value))));
    }
    return keys.appendTail(link).toString();
  }
}
