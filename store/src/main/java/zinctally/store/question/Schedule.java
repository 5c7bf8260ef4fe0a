package zinctally.store.question;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;

/**
 * When a question is asked by itself.
 *
 * @param day of the week from Monday 1, or of the month; what a month does not have is its last
 */
public record Schedule(Every every, int day, LocalTime time) {
  /** How often. */
  public enum Every {
    DAY("every day"),
    WEEK("every week"),
    MONTH("every month");

    private final String words;

    Every(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** Empty when such a day there is not. */
  public static Optional<Schedule> of(Every every, int day, LocalTime time) {
    boolean sound =
        switch (every) {
          case DAY -> true;
          case WEEK -> day >= 1 && day <= 7;
          case MONTH -> day >= 1 && day <= 31;
        };
    return sound
        ? Optional.of(new Schedule(every, every == Every.DAY ? 0 : day, time))
        : Optional.empty();
  }

  /** The first time after a moment. */
  public LocalDateTime after(LocalDateTime moment) {
    LocalDateTime next = on(moment.toLocalDate()).atTime(time);
    if (next.isAfter(moment)) return next;
    LocalDate later =
        switch (every) {
          case DAY, WEEK -> moment.toLocalDate().plusDays(1);
          case MONTH -> moment.toLocalDate().with(TemporalAdjusters.firstDayOfNextMonth());
        };
    return on(later).atTime(time);
  }

  /** The day it falls on from a day on; of the month, in the month of that day. */
  private LocalDate on(LocalDate from) {
    return switch (every) {
      case DAY -> from;
      case WEEK -> from.with(TemporalAdjusters.nextOrSame(DayOfWeek.of(day)));
      case MONTH -> from.withDayOfMonth(Math.min(day, from.lengthOfMonth()));
    };
  }

  /** In words: {@code every Monday 07:00}. */
  public String words() {
    String when =
        switch (every) {
          case DAY -> "every day";
          case WEEK -> "every " + DayOfWeek.of(day).getDisplayName(TextStyle.FULL, Locale.ENGLISH);
          case MONTH -> "on day " + day + " of every month";
        };
    return when + " " + time;
  }
}
