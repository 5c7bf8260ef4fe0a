package zinctally.core.papers.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zinctally.core.goods.Lot;
import zinctally.core.papers.PaperKind;

class NumberedTest {
  private static final Lot FIRST = new Lot(7, 4, "M-7", null);
  private static final Lot SECOND = new Lot(8, 4, "M-8", null);

  @Test
  void the_first_that_make_up_a_quantity_are_taken_and_the_rest_stays() {
    List<Numbered> from =
        new ArrayList<>(List.of(new Numbered(FIRST, 5, 0), new Numbered(SECOND, 4, 9)));
    assertThat(Numbered.take(from, 7))
        .containsExactly(new Numbered(FIRST, 5, 0), new Numbered(SECOND, 2, 9));
    assertThat(from).containsExactly(new Numbered(SECOND, 2, 9));
    assertThat(Numbered.take(from, 2)).containsExactly(new Numbered(SECOND, 2, 9));
    assertThat(from).isEmpty();
    assertThat(Numbered.take(from, 1)).isEmpty();
    assertThat(Numbered.take(new ArrayList<>(List.of(new Numbered(FIRST, 5, 0))), 0)).isEmpty();
  }

  @Test
  void an_exchange_is_written_over_the_counter() {
    assertThat(new Next(PaperKind.COUNTER_SALE, "Exchange", false).overCounter()).isTrue();
    assertThat(new Next(PaperKind.INVOICE, "Invoice", false).overCounter()).isFalse();
  }
}
