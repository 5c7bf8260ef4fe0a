package zinctally.core.papers.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;

class InstalmentsTest {
  private static final LocalDate SOLD = LocalDate.of(2026, 1, 31);

  /** 100.00 in three months from 31 January: the last day of February, 31 March, 30 April. */
  @Test
  void a_sum_falls_due_month_by_month_alike_to_the_cent() {
    assertThat(Instalments.inParts(10000, 3, Instalments.Every.MONTH, SOLD))
        .containsExactly(
            new Instalments.Part(LocalDate.of(2026, 2, 28), 3334),
            new Instalments.Part(LocalDate.of(2026, 3, 31), 3333),
            new Instalments.Part(LocalDate.of(2026, 4, 30), 3333));
  }

  @Test
  void parts_of_an_amount_leave_the_rest_to_the_last() {
    assertThat(Instalments.of(10000, 4000, Instalments.Every.FORTNIGHT, SOLD))
        .containsExactly(
            new Instalments.Part(LocalDate.of(2026, 2, 14), 4000),
            new Instalments.Part(LocalDate.of(2026, 2, 28), 4000),
            new Instalments.Part(LocalDate.of(2026, 3, 14), 2000));
    assertThatThrownBy(() -> Instalments.of(10000, 1, Instalments.Every.WEEK, SOLD))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Seeded
  void the_parts_are_the_sum(Any any) {
    long sum = any.between(1, 10_000_000);
    int times = any.between(1, Instalments.MOST);
    assertThat(
            Instalments.inParts(sum, times, Instalments.Every.WEEK, SOLD).stream()
                .mapToLong(Instalments.Part::amount)
                .sum())
        .isEqualTo(sum);
  }
}
