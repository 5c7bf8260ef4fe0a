package zinctally.core.papers;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;
import zinctally.core.papers.Repetition.Every;

class RepetitionTest {
  private static LocalDate day(String day) {
    return LocalDate.parse(day);
  }

  @Test
  void the_31st_is_the_last_day_of_shorter_months_and_the_31st_again_after() {
    Repetition rent = new Repetition(Every.MONTH, day("2026-01-31"), null, null);
    assertThat(rent.day(1)).contains(day("2026-02-28"));
    assertThat(rent.day(2)).contains(day("2026-03-31"));
    assertThat(rent.day(3)).contains(day("2026-04-30"));
  }

  @Test
  void what_was_missed_is_caught_up_once() {
    Repetition weekly = new Repetition(Every.WEEK, day("2026-01-05"), null, null);
    assertThat(weekly.due(0, day("2026-01-04"))).isEmpty();
    assertThat(weekly.due(1, day("2026-01-30"))).contains(new Repetition.Due(day("2026-01-26"), 4));
    assertThat(weekly.due(4, day("2026-01-30"))).isEmpty();
  }

  @Test
  void it_ends_after_a_day_or_a_count() {
    assertThat(new Repetition(Every.QUARTER, day("2026-01-05"), null, 2).day(2)).isEmpty();
    assertThat(new Repetition(Every.YEAR, day("2024-02-29"), day("2025-12-31"), null).day(1))
        .contains(day("2025-02-28"));
    assertThat(new Repetition(Every.YEAR, day("2024-02-29"), day("2025-12-31"), null).day(2))
        .isEmpty();
  }

  @Seeded
  void whenever_it_is_asked_the_same_days_come_by_once_each(Any any) {
    Every every = any.of(Every.values());
    int later = any.between(0, 900);
    Repetition repeats = new Repetition(every, day("2026-01-31"), null, null);
    LocalDate today = day("2026-01-01").plusDays(later);
    int gone = repeats.due(0, today).map(Repetition.Due::gone).orElse(0);
    assertThat(repeats.due(gone, today)).isEmpty();
    assertThat(repeats.day(gone).orElseThrow()).isAfter(today);
    if (gone > 0) assertThat(repeats.day(gone - 1).orElseThrow()).isBeforeOrEqualTo(today);
  }
}
