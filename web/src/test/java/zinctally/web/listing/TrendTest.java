package zinctally.web.listing;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import zinctally.web.shell.Say;

class TrendTest {
  private final Say say =
      Mockito.mock(Say.class, call -> String.valueOf(call.<Long>getArgument(0) / 1_000_000));

  private String words(String value) {
    return Trend.of(value, say).words();
  }

  @Test
  void months_are_undone_from_now_backwards() {
    assertThat(words("40000000,1:-5000000,0:10000000")).isEqualTo("a year ago 35, most 40, now 40");
    assertThat(words("40000000,3:100000000,2:-70000000"))
        .isEqualTo("a year ago 10, most 110, now 40");
  }

  @Test
  void what_is_booked_for_months_to_come_is_not_here_yet() {
    assertThat(words("40000000,-1:15000000,-2:5000000"))
        .isEqualTo("a year ago 20, most 20, now 20");
  }

  @Test
  void what_never_moved_is_a_level_line() {
    Trend trend = Trend.of("0", say);
    assertThat(trend.words()).isEqualTo("a year ago 0, most 0, now 0");
    assertThat(trend.line().line()).startsWith("0.0,").endsWith(",17.0");
  }
}
