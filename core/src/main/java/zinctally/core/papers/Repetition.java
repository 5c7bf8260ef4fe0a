package zinctally.core.papers;

import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The days on which a paper is begun again.
 *
 * @param start the first day; months, quarters and years count from it, so that the 31st is the
 *     last day of shorter months and the 31st again after
 * @param until the last day it may be; null for no end
 * @param times how many days there are; null for no end
 */
public record Repetition(
    Every every, LocalDate start, @Nullable LocalDate until, @Nullable Integer times) {
  /** How far apart. */
  public enum Every {
    WEEK("every week"),
    MONTH("every month"),
    QUARTER("every quarter"),
    YEAR("every year");

    private final String words;

    Every(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** The day after {@code gone} others; empty when it is over. */
  public Optional<LocalDate> day(int gone) {
    LocalDate day =
        switch (every) {
          case WEEK -> start.plusWeeks(gone);
          case MONTH -> start.plusMonths(gone);
          case QUARTER -> start.plusMonths(3L * gone);
          case YEAR -> start.plusYears(gone);
        };
    boolean over = times != null && gone >= times || until != null && day.isAfter(until);
    return over ? Optional.empty() : Optional.of(day);
  }

  /**
   * What is due: days that were missed are caught up once, with the latest of them.
   *
   * @param gone how many days are gone by after it
   */
  public record Due(LocalDate day, int gone) {}

  /** The latest day up to today after {@code gone} others; empty when none has come. */
  public Optional<Due> due(int gone, LocalDate today) {
    Optional<Due> due = Optional.empty();
    int next = gone;
    for (Optional<LocalDate> day = day(next);
        day.isPresent() && !day.get().isAfter(today);
        day = day(next)) due = Optional.of(new Due(day.get(), ++next));
    return due;
  }
}
