package zinctally.core.number;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.Any;
import zinctally.core.Seeded;

class NumbersTest {
  /** Held against java.math.BigDecimal, HALF_UP. */
  @Seeded
  void a_share_is_rounded_half_up_however_large(Any any) {
    long value = any.between(-1_000_000_000_000_000L, 1_000_000_000_000_000L);
    long whole = any.between(1, 9_000_000_000_000L);
    long part = any.between(0, 9_000_000_000_000L);
    BigDecimal exact =
        BigDecimal.valueOf(value)
            .multiply(BigDecimal.valueOf(part))
            .divide(BigDecimal.valueOf(whole), 0, RoundingMode.HALF_UP);
    if (exact.abs().compareTo(BigDecimal.valueOf(Long.MAX_VALUE)) > 0)
      assertThatThrownBy(() -> Share.of(value, part, whole))
          .isInstanceOf(ArithmeticException.class);
    else assertThat(Share.of(value, part, whole)).isEqualTo(exact.longValueExact());
  }

  @Seeded
  void the_parts_of_a_spread_add_up_and_are_fair(Any any) {
    long amount = any.between(-1_000_000, 1_000_000);
    List<Long> given = any.list(1, 20, a -> a.between(1L, 100_000L));
    long[] weights = given.stream().mapToLong(Long::longValue).toArray();
    long[] parts = Spread.over(amount, weights);
    assertThat(Arrays.stream(parts).sum()).isEqualTo(amount);
    double total = Arrays.stream(weights).asDoubleStream().sum();
    for (int i = 0; i < parts.length; i++)
      assertThat(Math.abs(parts[i] - amount * (weights[i] / total))).isLessThan(1.0001);
  }

  @Test
  void a_tie_in_a_spread_goes_to_the_earlier_line() {
    assertThat(Spread.over(100, new long[] {1, 1, 1})).containsExactly(34, 33, 33);
    assertThat(Spread.over(-100, new long[] {1, 1, 1})).containsExactly(-34, -33, -33);
  }

  /** ISO 4217 minor units, as java.util.Currency has them. */
  @ParameterizedTest
  @CsvSource({"EUR,2,1.25,125", "JPY,0,125,125", "KWD,3,0.125,125"})
  void a_currency_has_its_own_digits(String code, int digits, BigDecimal amount, long minor) {
    Coin coin = Coin.of(code);
    assertThat(coin.digits()).isEqualTo(digits);
    assertThat(coin.minor(amount)).isEqualTo(minor);
    assertThat(coin.decimal(minor)).isEqualByComparingTo(amount);
  }

  /** Half up, away from zero: common practice for amounts of money. */
  @ParameterizedTest
  @CsvSource({"1.004,100", "1.005,101", "1.0049,100", "-1.005,-101", "-1.004,-100", "2.675,268"})
  void money_is_rounded_half_up_and_away_from_zero(BigDecimal amount, long minor) {
    assertThat(Coin.of("EUR").rounded(amount)).isEqualTo(minor);
  }

  @Test
  void figures_read_as_people_write_them() {
    assertThat(Figures.read("1,234.50")).contains(new BigDecimal("1234.50"));
    assertThat(Figures.read("\u22127")).contains(new BigDecimal("-7"));
    assertThat(Figures.read("2,5")).isEmpty();
    assertThat(Figures.read("1e9")).isEmpty();
    assertThat(Coin.of("EUR").say(-4821640)).isEqualTo("\u221248,216.40");
    assertThat(Coin.of("EUR").each(33600, 19 * Quantity.ONE).toPlainString()).isEqualTo("17.6842");
  }

  @Test
  void a_coin_shows_its_places_and_a_price_more_as_far_as_they_matter() {
    Coin pounds = Coin.of("GBP");
    assertThat(pounds.plain(4_821_640)).isEqualTo("48216.40");
    assertThat(pounds.price(new BigDecimal("12"))).isEqualTo(new BigDecimal("12.00"));
    assertThat(pounds.price(new BigDecimal("12.50"))).isEqualTo(new BigDecimal("12.50"));
    assertThat(pounds.price(new BigDecimal("0.91250"))).isEqualTo(new BigDecimal("0.9125"));
    assertThat(Coin.of("JPY").price(new BigDecimal("12.0"))).isEqualTo(new BigDecimal("12"));
  }

  @Test
  void figures_are_in_the_form_of_the_work_at_hand_and_in_no_other_afterwards() {
    BigDecimal value = new BigDecimal("1234.5");
    Figures.use(Form.COMMA);
    try {
      assertThat(Figures.grouped(value, 2)).isEqualTo("1.234,50");
      assertThat(Figures.in(Form.POINT, () -> Figures.grouped(value, 2))).isEqualTo("1,234.50");
      assertThat(Figures.form()).isEqualTo(Form.COMMA);
    } finally {
      Figures.use(null);
    }
    assertThat(Figures.form()).isEqualTo(Form.POINT);
    assertThat(Form.COMMA.sample()).isEqualTo("1.234,50");
    assertThat(Figures.plain(new BigDecimal("12E2"))).isEqualTo("1200");
  }

  @Test
  void money_adds_up_exactly_or_says_that_it_does_not_fit() {
    Money ten = new Money(1000);
    assertThat(ten.plus(new Money(-1)).minus(new Money(999))).isEqualTo(Money.ZERO);
    assertThat(ten.negated().signum()).isEqualTo(-1);
    assertThat(ten).isGreaterThan(Money.ZERO);
    assertThatThrownBy(() -> new Money(Long.MAX_VALUE).plus(new Money(1)))
        .isInstanceOf(ArithmeticException.class);
    assertThatThrownBy(() -> new Money(Long.MIN_VALUE).minus(new Money(1)))
        .isInstanceOf(ArithmeticException.class);
    assertThatThrownBy(() -> new Money(Long.MIN_VALUE).negated())
        .isInstanceOf(ArithmeticException.class);
  }
}
