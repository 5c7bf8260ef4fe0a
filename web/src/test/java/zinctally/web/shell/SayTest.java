package zinctally.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;

class SayTest {
  private final Say say = new Say(null);

  @Test
  void a_rate_has_the_places_it_has_and_a_share_always_one() {
    assertThat(say.percent(new BigDecimal("20"))).isEqualTo("20%");
    assertThat(say.percent(new BigDecimal("5.5"))).isEqualTo("5.5%");
    assertThat(say.share(new BigDecimal("44"))).isEqualTo("44.0%");
    assertThat(say.margin(12_500, 7_000)).isEqualTo("44.0%");
    assertThat(say.margin(0, 7_000)).isEmpty();
  }

  @Test
  void a_size_is_said_in_the_largest_unit_of_which_there_is_one() {
    assertThat(say.bytes(0)).isEqualTo("0.0 KB");
    assertThat(say.bytes(999_949)).isEqualTo("999.9 KB");
    assertThat(say.bytes(1_000_000)).isEqualTo("1.0 MB");
    assertThat(say.bytes(12_345_000_000L)).isEqualTo("12.3 GB");
    assertThat(say.bytes(12_345_000_000_000_000L)).isEqualTo("12,345.0 TB");
  }
}
