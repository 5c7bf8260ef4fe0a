package zinctally.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.ui.ExtendedModelMap;
import zinctally.core.statement.Known;

class KnownAtTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-11-27T12:00:00Z"), ZoneOffset.UTC);

  /** A day, a minute and a second are meant to their end. */
  @ParameterizedTest
  @CsvSource({
    "2026-09-05, 2026-09-05T23:59:59.999",
    "2026-09-05 14:30, 2026-09-05T14:30:59.999",
    "2026-09-05T14:30:12, 2026-09-05T14:30:12.999",
    "2026-09-05T14:30:12.5, 2026-09-05T14:30:12.5",
    "today, 2026-11-27T23:59:59.999"
  })
  void a_moment_is_read_as_people_and_addresses_write_it(String typed, LocalDateTime moment) {
    assertThat(KnownAt.read(typed, CLOCK, new ExtendedModelMap())).contains(moment);
  }

  @Test
  void what_an_address_says_is_read_back_exactly() {
    LocalDateTime moment = LocalDateTime.of(2026, 9, 5, 14, 30, 0, 7_000_000);
    assertThat(KnownAt.read(Known.said(moment), CLOCK, new ExtendedModelMap())).contains(moment);
  }

  @ParameterizedTest
  @ValueSource(strings = {"soon", "2026-09-05 25:00", "2026-13-01", "'; drop table paper"})
  void what_is_no_moment_is_said_and_all_that_is_known_now_counts(String typed) {
    ExtendedModelMap model = new ExtendedModelMap();
    assertThat(KnownAt.read(typed, CLOCK, model)).isEmpty();
    assertThat(String.valueOf(model.get("wrong"))).contains("is no day or moment");
  }

  @Test
  void nothing_typed_is_now_without_a_word() {
    ExtendedModelMap model = new ExtendedModelMap();
    assertThat(KnownAt.read(" ", CLOCK, model)).isEmpty();
    assertThat(model).isEmpty();
  }
}
