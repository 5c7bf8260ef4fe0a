package zinctally.web.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zinctally.store.listing.Listing.Column;
import zinctally.store.question.Subject;

/**
 * A question as its builder shows it: rows with what was typed, and some empty ones after them.
 *
 * @param offers columns that can be typed, with what else they are known by
 */
record BuilderView(
    List<Offer> offers,
    List<Row> see,
    List<Row> worked,
    List<Row> which,
    List<Row> order,
    List<Field> by,
    Subject subject,
    Map<String, String> typed) {
  private static final Pattern NUMBERED =
      Pattern.compile("(see|calc|if|order)\\.(\\d{1,2})(\\..*)?");

  /** A column that can be chosen. */
  record Offer(String heading, String known) {}

  /** A row of the builder; {@code name} stands before the names of its fields. */
  record Row(String name, int number, Map<String, String> typed, Subject subject) {
    /** The heading of the column that was chosen. */
    public String column(String part) {
      return heading(subject, text(part), typed);
    }

    public String text(String part) {
      return typed.getOrDefault(name + part, "");
    }

    /** What stands in a field before anything is chosen. */
    public boolean empty() {
      return text("").isEmpty();
    }
  }

  /** A field for one column. */
  record Field(String name, String value) {}

  static BuilderView of(Subject subject, Map<String, String> typed) {
    List<Offer> offers =
        new ArrayList<>(
            subject.shown().stream().map(p -> new Offer(p.column().heading(), p.known())).toList());
    List<Row> worked = rows("calc", typed, subject, 1);
    for (Row row : worked)
      if (!row.empty()) offers.add(new Offer(heading(subject, row.name(), typed), "worked out"));
    List<Field> by = new ArrayList<>();
    for (String name : List.of("by.1", "by.2", "by.3"))
      by.add(new Field(name, heading(subject, typed.getOrDefault(name, ""), typed)));
    return new BuilderView(
        offers,
        rows("see", typed, subject, 2),
        worked,
        rows("if", typed, subject, 1),
        rows("order", typed, subject, 1),
        by,
        subject,
        typed);
  }

  /** What was typed under a name. */
  public String text(String name) {
    return typed.getOrDefault(name, "");
  }

  private static List<Row> rows(
      String what, Map<String, String> typed, Subject subject, int empty) {
    TreeSet<Integer> numbers = new TreeSet<>();
    for (String name : typed.keySet()) {
      Matcher matcher = NUMBERED.matcher(name);
      if (matcher.matches() && matcher.group(1).equals(what) && matcher.group(3) == null)
        numbers.add(Integer.parseInt(matcher.group(2)));
    }
    int next = numbers.isEmpty() ? 1 : numbers.last() + 1;
    for (int i = 0; i < empty; i++) numbers.add(next + i);
    return numbers.stream().map(n -> new Row(what + "." + n, n, typed, subject)).toList();
  }

  /** The heading of a column that was typed; of one that is worked out, the name it was given. */
  static String heading(Subject subject, String column, Map<String, String> typed) {
    String given = typed.getOrDefault(column + ".as", "");
    return given.isEmpty() || !column.startsWith("calc.")
        ? subject.column(subject.keyOf(column)).map(Column::heading).orElse(column)
        : given;
  }

  /** What stands side by side, by its heading. */
  public String across() {
    return heading(subject, text("across"), typed);
  }
}
