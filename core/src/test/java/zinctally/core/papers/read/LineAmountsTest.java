package zinctally.core.papers.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;
import zinctally.core.papers.TaxRate;

class LineAmountsTest {
  private static final TaxRate STANDARD =
      new TaxRate(1, "S", "Standard rate", BigDecimal.valueOf(20));
  private static final TaxRate REDUCED = new TaxRate(2, "R", "Reduced rate", BigDecimal.valueOf(5));

  private static LineAmounts.Line line(long amount, TaxRate rate) {
    return new LineAmounts.Line(amount, rate);
  }

  /**
   * 10.00 off 60.00 and 30.00: 6.67 and 3.33. Tax of 20 % on 53.33 is 10.67, of 5 % on 26.67 1.33.
   */
  @Test
  void what_comes_off_the_whole_is_spread_before_tax() {
    LineAmounts amounts =
        LineAmounts.of(List.of(line(6000, STANDARD), line(3000, REDUCED)), 1000, false, false);
    assertThat(amounts.net()).containsExactly(5333, 2667);
    assertThat(amounts.tax()).containsExactly(1067, 133);
  }

  /** Three lines of 0.33 at 20 %: 0.07 each, 0.21; on their sum of 0.99 it is 0.20. */
  @Test
  void tax_is_rounded_line_by_line_or_on_the_sum_of_a_rate() {
    List<LineAmounts.Line> lines =
        List.of(line(33, STANDARD), line(33, STANDARD), line(33, STANDARD));
    assertThat(LineAmounts.of(lines, 0, false, false).tax()).containsExactly(7, 7, 7);
    assertThat(LongStream.of(LineAmounts.of(lines, 0, false, true).tax()).sum()).isEqualTo(20);
  }

  /** 12.00 with 20 % tax holds 2.00 of it. */
  @Test
  void tax_that_prices_include_is_taken_out_of_them() {
    LineAmounts amounts = LineAmounts.of(List.of(line(1200, STANDARD)), 0, true, true);
    assertThat(amounts.net()).containsExactly(1000);
    assertThat(amounts.tax()).containsExactly(200);
  }

  @Seeded
  void included_prices_add_up_to_what_was_asked_less_what_came_off(Any any) {
    List<Long> prices = any.list(1, 12, a -> a.between(1L, 10_000_000L));
    long percentOff = any.between(0, 100);
    boolean onSums = any.coin();
    long sum = prices.stream().mapToLong(Long::longValue).sum();
    long off = sum * percentOff / 100;
    List<LineAmounts.Line> lines =
        prices.stream()
            .map(p -> line(p, p % 3 == 0 ? null : p % 2 == 0 ? STANDARD : REDUCED))
            .toList();
    LineAmounts amounts = LineAmounts.of(lines, off, true, onSums);
    assertThat(LongStream.of(amounts.net()).sum() + LongStream.of(amounts.tax()).sum())
        .isEqualTo(sum - off);
    assertThat(LongStream.of(amounts.tax()).min().orElse(0)).isGreaterThanOrEqualTo(0);
  }
}
