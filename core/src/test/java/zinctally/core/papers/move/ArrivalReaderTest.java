package zinctally.core.papers.move;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.VAN;
import static zinctally.core.papers.SmallBook.WAY;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

/** Goods that were sent to another place, and come there. */
class ArrivalReaderTest {
  private final SmallBook book = new SmallBook();

  @BeforeEach
  void five_hives_are_on_the_way() {
    book.awaited.add(
        new Awaited(
            7,
            Awaits.ON_THE_WAY,
            PaperKind.TRANSFER,
            70,
            "T-1",
            LocalDate.of(2026, 11, 20),
            0,
            0,
            HIVE,
            5_000_000,
            0,
            5_000_000,
            0,
            0,
            null,
            null,
            Awaited.Order.NONE,
            List.of()));
  }

  private static Written comes(String... cells) {
    return Written.of(PaperKind.ARRIVAL)
        .with("transfer", "T-1")
        .with("into", "Market van")
        .line(cells);
  }

  @Test
  void what_came_goes_on_from_the_way_and_only_what_is_lost_has_a_cost() {
    Plan plan =
        book.plan(
            comes("item", "HIVE", "quantity", "3")
                .line("item", "HIVE", "quantity", "1", "reason", "Broken"));
    assertThat(plan.moves())
        .extracting(m -> m.place() + ": " + m.quantity())
        .containsExactly(WAY.id() + ": -3", VAN.id() + ": 3", WAY.id() + ": -1");
    assertThat(plan.events())
        .singleElement()
        .extracting(e -> e.quantity().micros())
        .isEqualTo(1_000_000L);
    assertThat(plan.fills())
        .extracting(f -> f.awaited() + ": " + f.quantity())
        .containsExactly("7: 3", "7: 1");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "T-1 | HIVE | 6 | rows.0.quantity: 5 are on the way with T-1; what was there besides is an adjustment.",
        "T-1 | FRAME | 1 | rows.0.item: The frame was not sent with T-1.",
        "T-1 | HIVE | -1 | rows.0.quantity: The quantity must be above zero; what is still on the way is left out.",
        "T-9 | HIVE | 1 | transfer: With \"T-9\" nothing was sent that is still to be received.",
      })
  void what_was_not_sent_cannot_come(String transfer, String item, String quantity, String fault) {
    Written written = comes("item", item, "quantity", quantity).with("transfer", transfer);
    assertThat(book.faults(written)).contains(fault);
  }
}
