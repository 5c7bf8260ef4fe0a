package zinctally.core.papers.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;

class RecognitionTest {
  /** 7 sent at 29.00, 4 invoiced at 16.57; they turn out to cost 32.00: 18.29, so 1.72 more. */
  @Test
  void an_invoice_bears_its_part_of_a_change_of_cost() {
    assertThat(Recognition.changes(3200, 7_000_000, List.of(new Recognition.Part(4_000_000, 1657))))
        .containsExactly(172);
    assertThatThrownBy(() -> Recognition.changes(100, 1, List.of(new Recognition.Part(2, 0))))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** IAS 2 paragraph 34 (from memory): all the cost of goods sold is an expense, no cent more. */
  @Seeded
  void once_all_is_invoiced_the_invoices_bear_all_of_the_cost(Any any) {
    long cost = any.between(0, 1_000_000_000);
    List<Long> invoiced = any.list(1, 6, a -> a.between(1L, 50_000_000L));
    List<Recognition.Part> parts = new ArrayList<>();
    for (long quantity : invoiced) parts.add(new Recognition.Part(quantity, quantity / 7));
    long sent = invoiced.stream().mapToLong(Long::longValue).sum();
    long before = parts.stream().mapToLong(Recognition.Part::value).sum();
    assertThat(before + LongStream.of(Recognition.changes(cost, sent, parts)).sum())
        .isEqualTo(cost);
  }
}
