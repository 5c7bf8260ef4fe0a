package zinctally.core.papers.make;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.FRAME;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.HONEY;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.MakingPlan;
import zinctally.core.papers.plan.Plan;

/** What is to be made, what an assembly brings of it, and by what a whole is shared. */
class WorkOrderReadersTest {
  private final SmallBook book = new SmallBook();

  private static Written order(String... cells) {
    return Written.of(PaperKind.WORK_ORDER).with("item", "HIVE").with("quantity", "2").line(cells);
  }

  private void waits(long id, Awaits what, Item item, long micros) {
    book.awaited.add(
        new Awaited(
            id,
            what,
            PaperKind.WORK_ORDER,
            70,
            "WO-1",
            LocalDate.of(2026, 11, 20),
            0,
            0,
            item,
            micros,
            0,
            micros,
            0,
            0,
            null,
            null,
            Awaited.Order.NONE,
            List.of()));
  }

  @Test
  void its_result_is_to_be_made_and_its_parts_are_promised() {
    book.costs.put(FRAME.id(), new Catalogue.LatestCost(42, 1_000_000));
    Paper paper = book.paper(order("item", "FRAME", "quantity", "20").with("notes", "for May"));
    assertThat(paper.plan(book).awaits())
        .extracting(w -> w.what() + " " + w.item() + " " + w.quantity() + " " + w.line())
        .containsExactly(
            "TO_BE_MADE " + HIVE.id() + " 2 -1", "PROMISED_PARTS " + FRAME.id() + " 20 0");
    assertThat(paper.total()).isEqualTo(840);
    assertThat(paper.head().place()).isEqualTo(BARN);
    assertThat(paper.rows())
        .extracting(r -> r.line() + " " + r.quantity())
        .containsExactly("-1 2", "0 20");
    assertThat(paper.sums()).extracting(s -> s.amount()).containsExactly(840L);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "HIVE | 1 | | rows.0.item: The hive cannot be made of itself.",
        "7000 | | 2 | rows.0.item: Work is added when it is done, with the assembly.",
        "FRAME | 0 | | rows.0.quantity: The quantity must be above zero.",
      })
  void what_cannot_be_ordered_is_refused_at_its_cell(
      String item, String quantity, String amount, String fault) {
    Written written =
        order(
            "item",
            item,
            "quantity",
            quantity == null ? "" : quantity,
            "amount",
            amount == null ? "" : amount);
    assertThat(book.faults(written)).contains(fault);
  }

  @Test
  void it_is_not_wanted_before_it_is_written_and_names_each_part_once() {
    Written twice =
        order("item", "FRAME", "quantity", "1")
            .line("item", "FRAME", "quantity", "2")
            .with("expected", "2020-01-01");
    assertThat(book.faults(twice))
        .containsExactly(
            "expected: It cannot be done before the order is written.",
            "rows.1.item: The frame has a line already; write all that goes in on one.");
  }

  /** Of three ordered with thirty frames: two made of nineteen, or all made of twenty-eight. */
  @ParameterizedTest
  @CsvSource({"2, 19, 19", "3, 28, 30", "2, 31, 30"})
  void an_assembly_brings_what_it_uses_and_all_that_is_left_when_it_is_done(
      String made, String frames, long brought) {
    waits(7, Awaits.TO_BE_MADE, HIVE, 3_000_000);
    waits(8, Awaits.PROMISED_PARTS, FRAME, 30_000_000);
    Plan plan =
        book.plan(
            Written.of(PaperKind.ASSEMBLY)
                .with("item", "HIVE")
                .with("quantity", made)
                .with("work_order", "WO-1")
                .line("item", "FRAME", "quantity", frames));
    assertThat(plan.fills())
        .extracting(f -> f.awaited() + ": " + f.quantity())
        .containsExactly("7: " + made, "8: " + brought);
  }

  /** Two frames and one hive, at 1.50 and 4.00 of price, 3 and 5 of value, 2 and 7 by hand. */
  @ParameterizedTest
  @CsvSource({
    "price, '', '', 3000000, 4000000",
    "value, 3, 5, 6000000, 5000000",
    "hand, 2, 7, 2000000, 7000000",
    "quantity, '', '', 2000000, 1000000"
  })
  void parts_weigh_by_what_is_chosen(
      String sharing, String frame, String hive, long frames, long hives) {
    book.listed.put(FRAME.id(), new Allowed.ListPrice(new BigDecimal("1.50"), BigDecimal.ZERO));
    book.listed.put(HIVE.id(), new Allowed.ListPrice(new BigDecimal("4"), BigDecimal.ZERO));
    book.kept.add(
        new Catalogue.Kept(
            new Lot(2, HONEY.id(), "H-26", null),
            Map.of(BARN.id(), 1_000_000L),
            900,
            LocalDate.of(2026, 11, 1),
            "at Barn store"));
    Plan plan =
        book.plan(
            Written.of(PaperKind.DISASSEMBLY)
                .with("item", "HONEY")
                .with("quantity", "1")
                .with("numbers", "H-26")
                .with("sharing", sharing)
                .line("item", "FRAME", "quantity", "2", "share", frame)
                .line("item", "HIVE", "quantity", "1", "share", hive));
    assertThat(plan.making().results())
        .extracting(MakingPlan.Result::weight)
        .containsExactly(frames, hives);
  }
}
