package zinctally.core.statement;

import java.time.LocalDate;
import java.time.Month;

/**
 * The book's year.
 *
 * @param from the month it begins in
 */
public record BookYear(Month from) {
  /** The first day of the year that a day is in. */
  public LocalDate start(LocalDate day) {
    LocalDate begins = LocalDate.of(day.getYear(), from, 1);
    return begins.isAfter(day) ? begins.minusYears(1) : begins;
  }

  /** The last day of the year that a day is in. */
  public LocalDate end(LocalDate day) {
    return start(day).plusYears(1).minusDays(1);
  }
}
