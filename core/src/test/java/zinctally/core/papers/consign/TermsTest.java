package zinctally.core.papers.consign;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;

/** Worked by hand. */
class TermsTest {
  private static final Coin GBP = Coin.of("GBP");

  private static BigDecimal decimal(String typed) {
    return typed == null ? null : new BigDecimal(typed);
  }

  /**
   * Three at 20.00 less 10 %: gross 60.00, net 54.00. 40 % of the net is 21.60, of the gross 24.00,
   * of the gross less all of the discount 18.00.
   */
  @ParameterizedTest
  @CsvSource(
      nullValues = "-",
      value = {
        "4.50, -, -, BOTH, 1350",
        "4.505, -, -, BOTH, 1352",
        "-, 40, -, BOTH, 2160",
        "-, 40, -, OURS, 2400",
        "-, 40, -, THEIRS, 1800",
        "-, 40, 7.50, THEIRS, 2250",
        "-, 40, 5.99, THEIRS, 1800",
        "-, 33.3333, -, BOTH, 1800",
        "-, 5, -, THEIRS, 0",
        "-, 0, -, OURS, 0",
        "-, 100, -, BOTH, 5400"
      })
  void what_is_owed(String each, String percent, String least, Terms.Discounts who, long owed) {
    Terms terms = new Terms(decimal(each), decimal(percent), decimal(least), who, true);
    assertThat(terms.cost(GBP, 3 * Quantity.ONE, 6000, 5400)).isEqualTo(owed);
    assertThat(terms.ofPrice()).isEqualTo(percent != null);
  }

  @Test
  void an_amount_that_no_long_holds_is_an_error() {
    Terms terms =
        new Terms(new BigDecimal("1000000000000"), null, null, Terms.Discounts.BOTH, true);
    assertThatThrownBy(() -> terms.cost(GBP, 900_000 * Quantity.ONE, 0, 0))
        .isInstanceOf(ArithmeticException.class);
  }

  @Test
  void it_says_itself() {
    assertThat(new Terms(new BigDecimal("4.5"), null, null, Terms.Discounts.BOTH, true).says(GBP))
        .isEqualTo("4.50 each");
    assertThat(
            new Terms(
                    null,
                    new BigDecimal("40.0000"),
                    new BigDecimal("2"),
                    Terms.Discounts.OURS,
                    true)
                .says(GBP))
        .isEqualTo("40 % of the price, at least 2.00 each");
  }
}
