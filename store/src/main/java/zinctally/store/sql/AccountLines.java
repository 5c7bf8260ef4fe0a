package zinctally.store.sql;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/** Lines of the ledger {@code l} on accounts {@code a}, as SQL. */
public final class AccountLines {
  private static final long DAY_BY_DAY = 5_000;

  private AccountLines() {}

  /**
   * Joins those from {@code :from} to {@code :to} to accounts that are looked up. Behind such an
   * account no index is gone into by a range of days, and all lines it ever had would be read: it
   * is gone into day by day, unless the days are very many.
   */
  public static String join(LocalDate from, LocalDate to) {
    long days = ChronoUnit.DAYS.between(from, to);
    return days < 0 || days > DAY_BY_DAY
        ? "join journal_line l on l.account_id = a.id and l.date between :from and :to "
        : """
        straight_join seq_0_to_%d day straight_join journal_line l force index (line_of_account)
          on l.account_id = a.id and l.date = :from + interval day.seq day\s"""
            .formatted(days);
  }
}
