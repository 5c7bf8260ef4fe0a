package zinctally.core.papers.tax;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** The days that a tax return is of, both ends with them. */
public record TaxDays(LocalDate from, LocalDate to) {
  /** The last quarter of a calendar year that was over on a day. */
  public static TaxDays quarterBefore(LocalDate day) {
    LocalDate quarter = day.withDayOfMonth(1).minusMonths((day.getMonthValue() - 1) % 3);
    return new TaxDays(quarter.minusMonths(3), quarter.minusDays(1));
  }

  /** As many months after these; at least one. */
  public TaxDays next() {
    LocalDate after = to.plusDays(1);
    long months = Math.max(1, ChronoUnit.MONTHS.between(from, after));
    return new TaxDays(after, after.plusMonths(months).minusDays(1));
  }
}
