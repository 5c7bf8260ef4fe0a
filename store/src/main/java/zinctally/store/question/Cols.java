package zinctally.store.question;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zinctally.core.question.How;
import zinctally.core.question.Question;
import zinctally.core.question.Reckoning;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;

/** The columns that a question can use, its own worked-out ones among them, and their SQL. */
final class Cols {
  private final Subject subject;
  private final Map<String, Question.Worked> worked = new HashMap<>();
  private final List<String> faults;
  private final Set<String> said = new HashSet<>();

  Cols(Subject subject, Question question, List<String> faults) {
    this.subject = subject;
    this.faults = faults;
    question.worked().forEach(w -> worked.put(w.key(), w));
  }

  /**
   * A column's SQL, row by row or over the rows that are put together, and what it holds.
   *
   * @param how rows are taken together in it
   */
  record Col(
      String key, String heading, Type type, String sql, String link, boolean figure, How how) {
    Col(String key, String heading, Type type, String sql, String link, boolean figure) {
      this(key, heading, type, sql, link, figure, How.SUM);
    }

    /** The same under another heading. */
    Col called(String other) {
      return other.isEmpty() ? this : new Col(key, other, type, sql, link, figure, how);
    }

    /** The same by another key and of other rows. */
    Col of(String otherKey, String otherSql) {
      return new Col(otherKey, heading, type, otherSql, link, figure, how);
    }
  }

  /** A column of a row; empty, and said, when there is none, or it is made of itself. */
  Optional<Col> row(String key) {
    return col(key, false, How.SUM, Set.of());
  }

  /** The same over rows that are put together. */
  Optional<Col> grouped(String key, How how) {
    return col(key, true, how, Set.of());
  }

  /** Whether it looks at other rows. */
  boolean ofAll(String key) {
    Question.Worked w = worked.get(key);
    return w != null && w.reckoning().ofAll();
  }

  private Optional<Col> col(String key, boolean grouped, How how, Set<String> within) {
    Question.Worked w = worked.get(key);
    if (w != null) return worked(w, grouped, how, within);
    Optional<Column> column = subject.column(key);
    if (column.isEmpty() || column.get().type() == Type.HIDDEN) {
      say(
          "There is no column \""
              + key
              + "\" in "
              + subject.name()
              + " any more, or it is not for you; it is left out.");
      return Optional.empty();
    }
    Column c = column.get();
    Col row =
        new Col(c.key(), c.heading(), c.type(), "(" + c.sql() + ")", c.link(), c.type().figure());
    return Optional.of(grouped ? taken(row, how) : row);
  }

  /** A column of rows, taken together over those that are put together. */
  static Col taken(Col c, How how) {
    boolean numeric = c.figure;
    String sql =
        switch (how) {
          case COUNT -> "count(" + c.sql + ")";
          case LEAST -> "min(" + c.sql + ")";
          case MOST -> "max(" + c.sql + ")";
          case AVERAGE -> numeric ? "avg(" + c.sql + ")" : "max(" + c.sql + ")";
          case SUM -> numeric ? "sum(" + c.sql + ")" : "max(" + c.sql + ")";
        };
    boolean whole = how == How.AVERAGE && (c.type == Type.MONEY || c.type == Type.QUANTITY);
    Type type = how == How.COUNT ? Type.NUMBER : c.type;
    String words = how == How.SUM ? "" : ", " + how.words();
    return new Col(
        c.key, c.heading + words, type, whole ? "round(" + sql + ")" : sql, "", type.figure(), how);
  }

  private Optional<Col> worked(Question.Worked w, boolean grouped, How how, Set<String> within) {
    if (within.contains(w.key()) || within.size() > Question.MOST) {
      say("\"" + heading(w) + "\" would be worked out of itself; it is left out.");
      return Optional.empty();
    }
    Set<String> inner = new HashSet<>(within);
    inner.add(w.key());
    // what is worked out row by row is taken together afterwards; shares are of what came of it
    boolean early =
        switch (w.reckoning()) {
          case PRODUCT, DAYS, MONTH, YEAR, WEEK -> true;
          case SUM, DIFFERENCE -> how != How.SUM;
          default -> false;
        };
    boolean over = grouped && !early;
    Optional<Col> a = col(w.a(), over, How.SUM, inner);
    Optional<Col> b = w.reckoning().columns() < 2 ? a : col(w.b(), over, How.SUM, inner);
    if (a.isEmpty() || b.isEmpty()) return Optional.empty();
    Optional<Col> made = made(w, a.get(), b.get());
    return grouped && early ? made.map(c -> taken(c, how)) : made;
  }

  private Optional<Col> made(Question.Worked w, Col a, Col b) {
    Reckoning how = w.reckoning();
    boolean days = how == Reckoning.DAYS;
    boolean parts = how == Reckoning.MONTH || how == Reckoning.YEAR || how == Reckoning.WEEK;
    if (days || parts) {
      if (day(a) && day(b))
        return Optional.of(
            new Col(
                w.key(), heading(w), days ? Type.NUMBER : Type.TEXT, dated(how, a, b), "", days));
      return wrong(w, "needs days");
    }
    if (!a.figure || !b.figure) return wrong(w, "needs figures");
    if (ofAll(w.a()) || ofAll(w.b())) return wrong(w, "cannot be made of what looks at other rows");
    if ((how == Reckoning.SUM || how == Reckoning.DIFFERENCE) && a.type != b.type)
      return wrong(w, "needs two of one kind; " + a.heading + " and " + b.heading + " are not");
    Type type =
        switch (how) {
          case SUM, DIFFERENCE, RUNNING -> a.type;
          case PERCENT, SHARE -> Type.PERCENT;
          default -> Type.PRICE;
        };
    return Optional.of(new Col(w.key(), heading(w), type, reckoned(how, a, b), "", true));
  }

  private static boolean day(Col c) {
    return c.type == Type.DATE || c.type == Type.TIME;
  }

  private static String dated(Reckoning how, Col a, Col b) {
    return switch (how) {
      case DAYS -> "datediff(" + b.sql + ", " + a.sql + ")";
      case MONTH -> "date_format(" + a.sql + ", '%Y-%m')";
      case YEAR -> "date_format(" + a.sql + ", '%Y')";
      default -> "date_format(" + a.sql + ", '%x-W%v')";
    };
  }

  private static String reckoned(Reckoning how, Col a, Col b) {
    return switch (how) {
      case SUM -> "(coalesce(" + a.sql + ", 0) + coalesce(" + b.sql + ", 0))";
      case DIFFERENCE -> "(coalesce(" + a.sql + ", 0) - coalesce(" + b.sql + ", 0))";
      case PRODUCT -> "cast(" + plain(a) + " * " + plain(b) + " as decimal(30,6))";
      case RATIO -> "cast(" + plain(a) + " / nullif(" + plain(b) + ", 0) as decimal(30,6))";
      case PERCENT -> "cast(100 * " + plain(a) + " / nullif(" + plain(b) + ", 0) as decimal(20,1))";
      case SHARE ->
          "cast(100 * " + a.sql + " / nullif(sum(" + a.sql + ") over (), 0) as decimal(20,1))";
      default -> a.sql; // added up where the order is known
    };
  }

  /** As people write it: money in its currency, quantities in their unit. */
  private static String plain(Col c) {
    return switch (c.type) {
      case MONEY -> "(" + c.sql + " / :minor)";
      case QUANTITY -> "(" + c.sql + " / 1000000)";
      default -> c.sql;
    };
  }

  private Optional<Col> wrong(Question.Worked w, String why) {
    say("\"" + heading(w) + "\" (" + w.reckoning().words() + ") " + why + "; it is left out.");
    return Optional.empty();
  }

  static String heading(Question.Worked w) {
    return w.heading().isEmpty()
        ? "Worked out " + w.key().substring("calc.".length())
        : w.heading();
  }

  /** Says a fault once. */
  void say(String fault) {
    if (said.add(fault)) faults.add(fault);
  }

  /** Everything a piece of SQL stands for, so that what it needs is joined. */
  static List<String> sqls(List<Col> cols) {
    List<String> sqls = new ArrayList<>();
    cols.forEach(c -> sqls.add(c.sql));
    return sqls;
  }
}
