package zinctally.store.question;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zinctally.core.question.How;
import zinctally.store.question.Cols.Col;
import zinctally.store.question.Subject.Thin;

/**
 * A large table added up before anything is joined to it: what a question comes to is the same, and
 * names are looked up for each sum instead of for each row.
 */
final class Thinned {
  private final Subject subject;
  private final Thin thin;
  private final Map<String, String> keys = new LinkedHashMap<>();
  private final Map<String, String> figures = new LinkedHashMap<>();
  private final List<String> selected = new ArrayList<>();
  private final List<String> grouped = new ArrayList<>();
  private final List<String> joined = new ArrayList<>();

  private Thinned(Subject subject, Thin thin) {
    this.subject = subject;
    this.thin = thin;
  }

  /**
   * @param keys what rows are put together by and stand side by side by, row by row
   * @param figures what is added up of them, row by row, by how it is taken together
   * @param conditions which rows, with what always holds
   * @return empty when that cannot be told from sums
   */
  static Optional<Thinned> of(
      Subject subject, List<Col> keys, List<Col> figures, List<String> conditions) {
    if (subject.thin().isEmpty() || !conditions.stream().allMatch(subject::own))
      return Optional.empty();
    Thinned made = new Thinned(subject, subject.thin().get());
    made.selected.add("count(*) as _rows");
    Set<String> columns = new LinkedHashSet<>();
    for (Col key : keys) if (!made.key(key, columns)) return Optional.empty();
    for (String column : columns) {
      String sql = made.thin.alias() + "." + column;
      made.selected.add(sql);
      made.grouped.add(sql);
    }
    for (Col figure : figures) if (!made.figure(figure)) return Optional.empty();
    return Optional.of(made);
  }

  /** What the table itself says is added up by; what is joined, by the columns it is joined by. */
  private boolean key(Col key, Set<String> columns) {
    if (subject.own(key.sql())) {
      String name = "_k" + keys.size();
      keys.put(key.key(), thin.alias() + "." + name);
      selected.add(key.sql() + " as " + name);
      grouped.add(key.sql());
      return true;
    }
    Matcher own =
        Pattern.compile("\\b" + thin.alias() + "\\.(\\w+)")
            .matcher(key.sql() + subject.joined(List.of(key.sql())));
    while (own.find()) {
      if (!thin.columns().contains(own.group(1))) return false;
      columns.add(own.group(1));
    }
    keys.put(key.key(), key.sql());
    joined.add(key.sql());
    return true;
  }

  private boolean figure(Col figure) {
    boolean added = figure.how() == How.SUM && figure.figure() || figure.how() == How.COUNT;
    if (!added || !subject.own(figure.sql())) return false;
    String name = "_f" + figures.size();
    figures.put(figure.key(), thin.alias() + "." + name);
    selected.add((figure.how() == How.COUNT ? "count(" : "sum(") + figure.sql() + ") as " + name);
    return true;
  }

  /** What a key is now. */
  String key(Col key) {
    return Objects.requireNonNull(keys.get(key.key()));
  }

  /**
   * What a figure comes to now.
   *
   * @param when of which sums alone; empty for all
   */
  Col sum(Col figure, String when) {
    String of = Objects.requireNonNull(figures.get(figure.key()));
    String sum = "sum(" + (when.isEmpty() ? of : "if(" + when + ", " + of + ", null)") + ")";
    return figure.of(figure.key(), figure.how() == How.COUNT ? "cast(" + sum + " as signed)" : sum);
  }

  /** How many rows there are. */
  String rows() {
    return "sum(" + thin.alias() + "._rows)";
  }

  /**
   * What follows {@code from}.
   *
   * @param where which rows of the table
   */
  String from(String where) {
    return subject.from(
        joined,
        "(select "
            + String.join(", ", selected)
            + " from "
            + subject.base()
            + " where "
            + where
            + (grouped.isEmpty() ? "" : " group by " + String.join(", ", grouped))
            + ") "
            + thin.alias());
  }
}
