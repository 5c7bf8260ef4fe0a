package zinctally.core.price;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.Any;
import zinctally.core.Seeded;

class PriceChangeTest {
  private static BigDecimal number(String typed) {
    return new BigDecimal(typed);
  }

  /**
   * Markup on cost and margin on price are common practice: 40 % markup on 18.00 is 25.20; a price
   * of 25.20 then has a margin of 7.20 / 25.20 = 28.6 %.
   */
  @ParameterizedTest
  @CsvSource({
    "PRICE,  5, 0.01, 0,    32.00, 18.00, 33.60",
    "PRICE, -10, 0.05, 0,   32.27, 18.00, 29.05",
    "COST,  40, 0.01, 0,    32.00, 18.00, 25.20",
    "COST,  40, 0.50, 0,    32.00, 18.00, 25.00",
    "COST,  40, 1.00, 0.01, 32.00, 18.30, 25.99",
    "PRICE, -100, 1.00, 0.01, 5.00, 1.00, 0",
  })
  void a_price_is_worked_out_and_rounded(
      PriceChange.Basis basis,
      String percent,
      String step,
      String under,
      String price,
      String cost,
      String is) {
    PriceChange change = new PriceChange(basis, number(percent), number(step), number(under));
    assertThat(change.of(number(price), number(cost)).orElseThrow())
        .isEqualByComparingTo(number(is));
  }

  @Test
  void nothing_comes_of_nothing() {
    BigDecimal cent = number("0.01");
    PriceChange fromCost =
        new PriceChange(PriceChange.Basis.COST, BigDecimal.TEN, cent, BigDecimal.ZERO);
    assertThat(fromCost.of(BigDecimal.ONE, null)).isEmpty();
    assertThatThrownBy(
            () -> new PriceChange(PriceChange.Basis.COST, BigDecimal.TEN, cent, BigDecimal.ONE))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Seeded
  void a_new_price_is_a_step_less_what_is_taken_off_and_within_half_a_step(Any any) {
    int cents = any.between(0, 100_000);
    int step = any.between(1, 100);
    PriceChange change =
        new PriceChange(
            PriceChange.Basis.PRICE, BigDecimal.ZERO, BigDecimal.valueOf(step, 2), BigDecimal.ZERO);
    BigDecimal price = BigDecimal.valueOf(cents, 2);
    BigDecimal changed = change.of(price, null).orElseThrow();
    assertThat(changed.remainder(BigDecimal.valueOf(step, 2))).isZero();
    assertThat(changed.subtract(price).abs().multiply(BigDecimal.valueOf(2)))
        .isLessThanOrEqualTo(BigDecimal.valueOf(step, 2));
  }
}
