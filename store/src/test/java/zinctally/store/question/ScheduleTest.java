package zinctally.store.question;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.time.LocalTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.store.question.Schedule.Every;

class ScheduleTest {
  private static final LocalTime SEVEN = LocalTime.of(7, 0);

  /** 2026-11-27 is a Friday. */
  @ParameterizedTest
  @CsvSource({
    "DAY, 0, 2026-11-27T06:59, 2026-11-27T07:00",
    "DAY, 0, 2026-11-27T07:00, 2026-11-28T07:00",
    "WEEK, 1, 2026-11-27T06:00, 2026-11-30T07:00",
    "WEEK, 5, 2026-11-27T06:00, 2026-11-27T07:00",
    "WEEK, 5, 2026-11-27T08:00, 2026-12-04T07:00",
    "MONTH, 31, 2026-11-27T08:00, 2026-11-30T07:00",
    "MONTH, 31, 2026-11-30T08:00, 2026-12-31T07:00",
    "MONTH, 30, 2027-01-31T08:00, 2027-02-28T07:00",
    "MONTH, 5, 2026-11-27T08:00, 2026-12-05T07:00"
  })
  void the_next_time_is_the_first_after_a_moment(
      Every every, int day, LocalDateTime moment, LocalDateTime next) {
    assertThat(Schedule.of(every, day, SEVEN).orElseThrow().after(moment)).isEqualTo(next);
  }

  @Test
  void a_day_that_there_is_not_is_no_schedule() {
    assertThat(Schedule.of(Every.WEEK, 0, SEVEN)).isEmpty();
    assertThat(Schedule.of(Every.WEEK, 8, SEVEN)).isEmpty();
    assertThat(Schedule.of(Every.MONTH, 32, SEVEN)).isEmpty();
    assertThat(Schedule.of(Every.DAY, 9, SEVEN)).isPresent();
  }

  @Test
  void it_is_said_as_people_say_it() {
    assertThat(Schedule.of(Every.WEEK, 1, SEVEN).orElseThrow().words())
        .isEqualTo("every Monday 07:00");
    assertThat(Schedule.of(Every.MONTH, 15, SEVEN).orElseThrow().words())
        .isEqualTo("on day 15 of every month 07:00");
  }
}
