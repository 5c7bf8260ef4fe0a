package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import zinctally.core.number.Coin;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Narrow;
import zinctally.store.listing.TypedValues;

/**
 * What of single columns is asked for, as it stands in the address: {@code in.party=pell, wax},
 * {@code in.date.from=2026-03}. What cannot be read is said at its box, and narrows nothing.
 */
final class Narrowing {
  private static final String IN = "in.";
  private static final String WORDS = "words";
  private static final int LONGEST = 120;

  /**
   * A box under a heading.
   *
   * @param name in the address
   * @param hint what can be typed
   * @param wrong a sentence when what was typed cannot be read; empty else
   */
  record Box(String name, String label, String hint, String typed, String wrong) {
    /** What can be typed, in a sentence. */
    public String help() {
      return hint.equals(WORDS)
          ? "Words that all occur; a comma stands between for either."
          : "The least or the most of it, itself with it; of days also a month or a year.";
    }

    /** Of the sentence that says what is wrong. */
    public String id() {
      return "wrong-" + name.replace('.', '-');
    }
  }

  private final Map<String, List<Box>> boxes = new LinkedHashMap<>();
  private final List<Narrow> asked = new ArrayList<>();
  private final List<String> words = new ArrayList<>();
  private final HttpServletRequest request;
  private final TypedValues values;

  private Narrowing(HttpServletRequest request, TypedValues values) {
    this.request = request;
    this.values = values;
  }

  static Narrowing read(Listing listing, HttpServletRequest request, Coin coin, LocalDate today) {
    Narrowing narrowing = new Narrowing(request, new TypedValues(coin, today));
    listing.shown().forEach(narrowing::column);
    return narrowing;
  }

  List<Narrow> asked() {
    return asked;
  }

  /** The boxes of a column, none for one that has none. */
  List<Box> boxes(Column column) {
    return boxes.getOrDefault(column.key(), List.of());
  }

  /** Whether something is typed in one of them. */
  boolean any() {
    return boxes.values().stream().flatMap(List::stream).anyMatch(b -> !b.typed.isEmpty());
  }

  /** What is let through, for people: {@code Supplier: pell}, {@code Date: from 2026-03-01}. */
  List<String> words() {
    return words;
  }

  private void column(Column column) {
    if (column.drawn()) boxes.put(column.key(), List.of());
    else if (column.type() == Listing.Type.TEXT) text(column);
    else between(column);
  }

  private void text(Column column) {
    String name = IN + column.key();
    String typed = typed(name);
    boxes.put(column.key(), List.of(new Box(name, column.heading() + " holds", WORDS, typed, "")));
    List<List<String>> either =
        Arrays.stream(typed.toLowerCase(Locale.ROOT).split(","))
            .map(one -> Arrays.stream(one.split("\\s+")).filter(w -> !w.isEmpty()).toList())
            .filter(one -> !one.isEmpty())
            .toList();
    if (either.isEmpty()) return;
    asked.add(new Narrow.Words(column.key(), either));
    words.add(column.heading() + ": " + typed);
  }

  private void between(Column column) {
    Optional<Object> from = end(column, "from");
    Optional<Object> to = end(column, "to");
    if (from.isEmpty() && to.isEmpty()) return;
    asked.add(new Narrow.Between(column.key(), from.orElse(null), to.orElse(null)));
    words.add(
        column.heading()
            + ":"
            + from.map(f -> " from " + typed(IN + column.key() + ".from")).orElse("")
            + to.map(t -> " to " + typed(IN + column.key() + ".to")).orElse(""));
  }

  private Optional<Object> end(Column column, String end) {
    String name = IN + column.key() + "." + end;
    String typed = typed(name);
    Optional<Object> read =
        typed.isEmpty() ? Optional.empty() : values.read(column.type(), typed, end.equals("to"));
    boolean wrong = !typed.isEmpty() && read.isEmpty();
    String says = wrong ? "\"" + typed + "\" is not " + TypedValues.right(column.type()) + "." : "";
    if (wrong) words.add(column.heading() + " is not narrowed: " + says);
    boxes
        .computeIfAbsent(column.key(), k -> new ArrayList<>())
        .add(new Box(name, column.heading() + ", " + end, end, typed, says));
    return read;
  }

  private String typed(String name) {
    String value = request.getParameter(name);
    if (value == null) return "";
    return value.strip().length() > LONGEST ? value.strip().substring(0, LONGEST) : value.strip();
  }
}
