package zinctally.core.papers.read;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads days as people write them: {@code 2026-11-25} (ISO 8601), {@code 25.11.2026}, {@code
 * 25/11/2026}, {@code 24.11.}, {@code today}, {@code +30}. The day comes before the month.
 */
public final class Days {
  private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
  private static final Pattern DAY_FIRST =
      Pattern.compile("(\\d{1,2})[./](\\d{1,2})(?:[./](\\d{2}|\\d{4})?)?");
  private static final Pattern AHEAD = Pattern.compile("([+-])(\\d{1,4})");

  private Days() {}

  /**
   * @param today what {@code today} is, and the year that is meant where none is written
   * @param from the day from which {@code +30} counts
   * @return empty when it is no day
   */
  public static Optional<LocalDate> read(String typed, LocalDate today, LocalDate from) {
    String text = typed.strip().toLowerCase(Locale.ROOT).replace('\u2212', '-');
    if (text.equals("today")) return Optional.of(today);
    Matcher ahead = AHEAD.matcher(text);
    if (ahead.matches())
      return Optional.of(from.plusDays(Long.parseLong(ahead.group(1) + ahead.group(2))));
    Matcher iso = ISO.matcher(text);
    if (iso.matches()) return day(iso.group(1), iso.group(2), iso.group(3));
    Matcher first = DAY_FIRST.matcher(text);
    if (!first.matches()) return Optional.empty();
    String year = first.group(3) == null ? String.valueOf(today.getYear()) : first.group(3);
    return day(year.length() == 2 ? "20" + year : year, first.group(2), first.group(1));
  }

  private static Optional<LocalDate> day(String year, String month, String day) {
    try {
      return Optional.of(
          LocalDate.of(Integer.parseInt(year), Integer.parseInt(month), Integer.parseInt(day)));
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }
}
