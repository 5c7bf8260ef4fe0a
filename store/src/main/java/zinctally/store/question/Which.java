package zinctally.store.question;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import zinctally.core.question.Match;
import zinctally.core.question.Question;
import zinctally.store.find.Like;
import zinctally.store.listing.Listing.Type;
import zinctally.store.listing.TypedValues;
import zinctally.store.question.Cols.Col;

/** Conditions of a question as SQL; all that was typed is a bound value. */
final class Which {
  private static final int MOST = 50;
  private final Cols cols;
  private final TypedValues values;
  private final Map<String, Object> params;
  private final List<String> used = new ArrayList<>();

  Which(Cols cols, TypedValues values, Map<String, Object> params) {
    this.cols = cols;
    this.values = values;
    this.params = params;
  }

  /** What the conditions look at, so that it is joined. */
  List<String> used() {
    return used;
  }

  /** All conditions together; empty when there is none. */
  String sql(Question question) {
    List<String> all = new ArrayList<>();
    for (Question.Condition condition : question.conditions()) {
      if (condition.column().isEmpty()) continue;
      Optional<Col> column = cols.row(condition.column());
      if (column.isEmpty()) continue;
      if (cols.ofAll(condition.column())) {
        cols.say(
            column.get().heading() + " looks at other rows, so that nothing can be asked of it.");
        continue;
      }
      one(column.get(), condition).ifPresent(all::add);
    }
    if (all.isEmpty()) return "";
    return all.stream()
        .collect(Collectors.joining(question.any() ? " or " : " and ", " and (", ")"));
  }

  private Optional<String> one(Col column, Question.Condition condition) {
    Match match = condition.test();
    // what is left open and not answered yet lets all through
    boolean open = condition.values().stream().anyMatch(String::isEmpty);
    if (open && match.needs() > 0 && !(match == Match.BETWEEN && !allEmpty(condition))) {
      if (!condition.asked())
        cols.say(
            column.heading() + " " + match.words() + " what? Nothing was typed; it is left out.");
      return Optional.empty();
    }
    Optional<String> sql = sql(column, condition);
    if (sql.isPresent()) used.add(column.sql());
    return sql;
  }

  private static boolean allEmpty(Question.Condition condition) {
    return condition.values().stream().allMatch(String::isEmpty);
  }

  private Optional<String> sql(Col c, Question.Condition condition) {
    List<String> typed = condition.values();
    String first = typed.isEmpty() ? "" : typed.get(0);
    boolean day = c.type() == Type.DATE || c.type() == Type.TIME;
    return switch (condition.test()) {
      case EMPTY -> Optional.of("coalesce(" + c.sql() + ", '') = ''");
      case NOT_EMPTY -> Optional.of("coalesce(" + c.sql() + ", '') <> ''");
      case HOLDS -> Optional.of(like(c, "%" + Like.escaped(first) + "%"));
      case BEGINS -> Optional.of(like(c, Like.escaped(first) + "%"));
      case ONE_OF -> oneOf(c, first);
      case BELOW -> Optional.of(below(c, first));
      case IS -> is(c, first, day);
      case IS_NOT -> is(c, first, day).map(s -> "not coalesce(" + s + ", false)");
      case AT_LEAST -> compared(c, ">=", first);
      case LESS -> compared(c, "<", first);
      // a month or a year is meant to its end
      case AT_MOST -> day ? between(c, "", first) : compared(c, "<=", first);
      case MORE -> day ? between(c, "", first).map(s -> "not " + s) : compared(c, ">", first);
      case BETWEEN -> between(c, typed.get(0), typed.get(1));
      case LAST_DAYS, NEXT_DAYS -> days(c, condition.test(), first);
    };
  }

  private String like(Col c, String pattern) {
    return "coalesce(" + c.sql() + ", '') like " + param(pattern);
  }

  private Optional<String> oneOf(Col c, String typed) {
    List<String> all = new ArrayList<>();
    for (String one : Arrays.stream(typed.split("[,;]")).map(String::strip).limit(MOST).toList()) {
      Optional<Object> value = value(c, one, false);
      if (value.isEmpty()) return Optional.empty();
      all.add(param(value.get()));
    }
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of(c.sql() + " in (" + String.join(", ", all) + ")");
  }

  private String below(Col c, String typed) {
    return c.sql()
        + " in (with recursive below as (select id, name from item_group where name = "
        + param(typed)
        + " union all select u.id, u.name from item_group u join below on u.parent_id = below.id)"
        + " select name from below)";
  }

  /** Equal; of days, within the month or year that was typed. */
  private Optional<String> is(Col c, String typed, boolean day) {
    return day ? between(c, typed, typed) : compared(c, "=", typed);
  }

  private Optional<String> compared(Col c, String sign, String typed) {
    return value(c, typed, false).map(v -> c.sql() + " " + sign + " " + param(v));
  }

  private Optional<String> between(Col c, String from, String to) {
    Optional<Object> first = from.isEmpty() ? Optional.empty() : value(c, from, false);
    Optional<Object> last = to.isEmpty() ? Optional.empty() : value(c, to, true);
    if ((!from.isEmpty() && first.isEmpty()) || (!to.isEmpty() && last.isEmpty()))
      return Optional.empty();
    if (first.isPresent() && last.isPresent() && after(first.get(), last.get())) {
      cols.say(
          c.heading()
              + " between "
              + from
              + " and "
              + to
              + ": the first is after the second; write them the other way round.");
      return Optional.of("false");
    }
    List<String> both = new ArrayList<>();
    first.ifPresent(v -> both.add(c.sql() + " >= " + param(v)));
    last.ifPresent(
        v ->
            both.add(
                v instanceof LocalDate day && c.type() == Type.TIME
                    ? c.sql() + " < " + param(day.plusDays(1))
                    : c.sql() + " <= " + param(v)));
    return both.isEmpty() ? Optional.empty() : Optional.of("(" + String.join(" and ", both) + ")");
  }

  @SuppressWarnings("unchecked")
  private static boolean after(Object first, Object last) {
    return first.getClass() == last.getClass()
        && first instanceof Comparable<?>
        && ((Comparable<Object>) first).compareTo(last) > 0;
  }

  private Optional<String> days(Col c, Match match, String typed) {
    if (c.type() != Type.DATE && c.type() != Type.TIME) {
      cols.say(c.heading() + " is no day; it is left out.");
      return Optional.empty();
    }
    if (!typed.matches("\\d{1,4}")) {
      cols.say(
          c.heading() + " " + match.words() + ": \"" + typed + "\" is no number of days, like 30.");
      return Optional.empty();
    }
    int days = Integer.parseInt(typed);
    LocalDate today = values.today();
    return match == Match.LAST_DAYS
        ? between(c, today.minusDays(days).plusDays(1).toString(), today.toString())
        : between(c, today.toString(), today.plusDays(days).toString());
  }

  private Optional<Object> value(Col c, String typed, boolean last) {
    Optional<Object> value = values.read(c.type(), typed, last);
    if (value.isEmpty())
      cols.say(
          c.heading()
              + ": \""
              + typed
              + "\" is not "
              + TypedValues.right(c.type())
              + "; it is left out.");
    return value;
  }

  private String param(Object value) {
    String name = "q" + params.size();
    params.put(name, value);
    return ":" + name;
  }
}
