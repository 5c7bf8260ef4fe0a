package zinctally.core.statement;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.ledger.CentreTree;

/** What stands beside a statement's figures, so that they can be compared (IAS 1, paragraph 38). */
public enum Beside {
  NOTHING("nothing"),
  LAST_YEAR("the same time last year"),
  MONTH_BEFORE("the month before"),
  YEAR_TO_DATE("the year to date"),
  MONTHS("every month of the year"),
  CENTRES("each cost centre");

  private final String words;

  Beside(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** The columns of a statement from a day to a day: its own first, but for months one by one. */
  public List<Column> columns(LocalDate from, LocalDate to, BookYear year) {
    Column own = Column.of(from, to);
    return switch (this) {
      case NOTHING, CENTRES -> List.of(own);
      case LAST_YEAR -> List.of(own, Column.of(from.minusYears(1), yearBefore(to)));
      case MONTH_BEFORE -> List.of(own, Column.of(monthBefore(from), monthBefore(to)));
      case YEAR_TO_DATE -> List.of(own, Column.of(year.start(to), to).called("Year to " + to));
      case MONTHS -> months(to, year);
    };
  }

  /**
   * The columns of cost centres side by side, then what they come to.
   *
   * @param whole what is divided; empty for all
   */
  public static List<Column> centres(
      LocalDate from, LocalDate to, Optional<Borne> whole, CentreTree tree) {
    Column own = Column.of(from, to);
    List<Column> columns = new ArrayList<>();
    for (Borne part : Borne.split(whole, tree)) columns.add(own.called(part.words()).borneBy(part));
    columns.add(whole.map(w -> own.called(w.words()).borneBy(w)).orElse(own.called("In all")));
    return columns;
  }

  /** Whether the first two columns are of the same length of time, and so have a difference. */
  public boolean comparable() {
    return this == LAST_YEAR || this == MONTH_BEFORE;
  }

  private static List<Column> months(LocalDate to, BookYear year) {
    List<Column> columns = new ArrayList<>();
    for (LocalDate month = year.start(to); !month.isAfter(to); month = month.plusMonths(1)) {
      LocalDate end = month.plusMonths(1).minusDays(1);
      columns.add(
          Column.of(month, end.isAfter(to) ? to : end).called(YearMonth.from(month).toString()));
    }
    columns.add(Column.of(year.start(to), to).called("Year to " + to));
    return columns;
  }

  private static LocalDate yearBefore(LocalDate day) {
    return sameEnd(day, day.minusYears(1));
  }

  private static LocalDate monthBefore(LocalDate day) {
    return sameEnd(day, day.minusMonths(1));
  }

  /** The end of a month goes to the end of the other. */
  private static LocalDate sameEnd(LocalDate day, LocalDate other) {
    boolean last = day.plusDays(1).getDayOfMonth() == 1;
    return last ? YearMonth.from(other).atEndOfMonth() : other;
  }
}
