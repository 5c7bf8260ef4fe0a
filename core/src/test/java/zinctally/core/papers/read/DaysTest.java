package zinctally.core.papers.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Days as people write them; today is 2026-11-25, and the paper is of 2026-11-20. */
class DaysTest {
  @ParameterizedTest
  @CsvSource(
      nullValues = "none",
      textBlock =
          """
          2026-03-09, 2026-03-09
          25.11.2026, 2026-11-25
          25/11/2026, 2026-11-25
          9.3.26,     2026-03-09
          24.11.,     2026-11-24
          24.11,      2026-11-24
          today,      2026-11-25
          Today,      2026-11-25
          +30,        2026-12-20
          -5,         2026-11-15
          31.2.2026,  none
          2026-13-01, none
          13/13/2026, none
          tomorrow,   none
          20261125,   none
          """)
  void a_day_is_read_as_it_is_written(String typed, LocalDate day) {
    assertThat(Days.read(typed, LocalDate.of(2026, 11, 25), LocalDate.of(2026, 11, 20)))
        .isEqualTo(Optional.ofNullable(day));
  }
}
