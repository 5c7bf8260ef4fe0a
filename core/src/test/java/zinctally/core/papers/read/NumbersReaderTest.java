package zinctally.core.papers.read;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.HONEY;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.plan.Plan;

class NumbersReaderTest {
  private final SmallBook book = new SmallBook();

  private static Written came(Item item, String quantity, String numbers) {
    return Written.of(PaperKind.BILL)
        .line("item", item.code(), "quantity", quantity, "price", "10", "numbers", numbers);
  }

  private static Written went(Item item, String quantity, String numbers) {
    return Written.of(PaperKind.INVOICE)
        .line("item", item.code(), "quantity", quantity, "price", "10", "numbers", numbers);
  }

  private void here(Item item, long id, String code, long micros, LocalDate expiry) {
    book.kept.add(
        new Catalogue.Kept(
            new Lot(id, item.id(), code, expiry),
            Map.of(1L, micros),
            900 + id,
            LocalDate.of(2026, 11, 1),
            micros == 0 ? "went with INV-1" : "at Barn store"));
  }

  @Test
  void a_run_counts_on_from_its_first_number_to_its_end() {
    Plan plan = book.plan(came(EXTRACTOR, "3", "3 from EX-0099B"));
    assertThat(plan.moves())
        .extracting(m -> m.lot().code())
        .containsExactly("EX-0099B", "EX-0100B", "EX-0101B");
    assertThat(plan.events())
        .extracting(Plan.Event::spot)
        .containsExactly(new Spot(0, 0), new Spot(0, 1), new Spot(0, 2));
    assertThat(plan.events())
        .extracting(e -> e.value().minor())
        .containsExactly(1000L, 1000L, 1000L);
    assertThat(plan.newLots()).hasSize(3);
  }

  @ParameterizedTest
  @CsvSource({
    "2, 'EX-1', '1 of 2 are given; the rest is missing.'",
    "1, 'EX-1, EX-2', '2 of 1 are given; that is too many.'",
    "2, 'EX-1, ex-1', 'ex-1 stands here twice.'",
    "1, '', 'Which serial numbers? Type, paste or scan them, or write a run like 12 from EX-0101.'",
    "1, '1 from ABC', 'A run needs a first number with digits in it, like 12 from EX-0101.'",
    "1, 'a b c', '\"a b c\" is not understood. Type, paste or scan them, or write a run like 12 from EX-0101.'",
  })
  void serial_numbers_are_as_many_as_the_line(String quantity, String numbers, String says) {
    assertThat(book.faults(came(EXTRACTOR, quantity, numbers))).contains("rows.0.numbers: " + says);
  }

  @Test
  void what_has_serial_numbers_is_whole() {
    assertThat(book.faults(came(EXTRACTOR, "1.5", "EX-1")))
        .containsExactly("rows.0.quantity: What has serial numbers is counted in whole pieces.");
  }

  @Test
  void a_serial_number_that_is_here_does_not_come_again() {
    here(EXTRACTOR, 1, "EX-1", 1_000_000, null);
    here(EXTRACTOR, 2, "EX-2", 0, null);
    assertThat(book.faults(came(EXTRACTOR, "1", "EX-1")))
        .containsExactly("rows.0.numbers: EX-1 is here already: at Barn store.");
    assertThat(book.faults(came(EXTRACTOR, "1", "EX-2"))).isEmpty();
  }

  @Test
  void what_leaves_is_here_and_leaves_with_its_own_arrival() {
    here(EXTRACTOR, 1, "EX-1", 1_000_000, null);
    here(EXTRACTOR, 2, "EX-2", 0, null);
    Plan plan = book.plan(went(EXTRACTOR, "1", "EX-1"));
    assertThat(plan.events().get(0).target()).isEqualTo(new Plan.Earlier(901));
    assertThat(book.faults(went(EXTRACTOR, "1", "EX-2")))
        .containsExactly("rows.0.numbers: EX-2 is not at Barn store: went with INV-1.");
    assertThat(book.faults(went(EXTRACTOR, "1", "EX-3")))
        .containsExactly("rows.0.numbers: No serial number EX-3 of The ex has ever come in.");
    assertThat(book.faults(went(EXTRACTOR, "1", "")))
        .containsExactly("rows.0.numbers: Which serial numbers? Here are EX-1.");
    assertThat(book.faults(went(EXTRACTOR, "1", "EX-1").with("date", "2026-10-31")))
        .containsExactly("rows.0.numbers: EX-1 came on 2026-11-01; it cannot leave on 2026-10-31.");
  }

  @Test
  void lots_divide_the_line_and_its_moves() {
    Plan plan = book.plan(came(HONEY, "10", "M-7 2027-05-31: 4, M-8: 6"));
    assertThat(plan.events()).hasSize(1);
    assertThat(plan.moves())
        .extracting(m -> m.quantity().micros())
        .containsExactly(4_000_000L, 6_000_000L);
    assertThat(plan.moves().get(0).lot().expiry()).isEqualTo("2027-05-31");
    assertThat(book.faults(came(HONEY, "10", "M-7, M-8")))
        .contains(
            "rows.0.numbers: How much of each lot? Write it behind the lot: M-7: 40, M-8: 60.");
    assertThat(book.faults(came(HONEY, "10", "M-7: 4, M-8: 5")))
        .containsExactly("rows.0.numbers: 9 of 10 are given; the rest is missing.");
    assertThat(book.faults(came(HONEY, "10", "M-7 2027-13-31")))
        .contains("rows.0.numbers: 2027-13-31 is not a date.");
    assertThat(book.notes(came(HONEY, "10", "M-7 2026-11-24")))
        .contains("Lot M-7 expired on 2026-11-24.");
    assertThat(book.notes(came(HONEY, "10", "M-7 2026-11-25")))
        .noneMatch(n -> n.contains("expired"));
  }

  @Test
  void a_lot_keeps_its_expiry_and_gives_no_more_than_it_has() {
    here(HONEY, 1, "M-7", 5_000_000, LocalDate.of(2027, 5, 31));
    assertThat(book.faults(came(HONEY, "1", "M-7 2027-06-01")))
        .containsExactly("rows.0.numbers: Lot M-7 expires on 2027-05-31, as it came before.");
    assertThat(book.faults(came(HONEY, "1", "M-7"))).isEmpty();
    assertThat(book.faults(went(HONEY, "5", "M-7"))).isEmpty();
    assertThat(book.faults(went(HONEY, "6", "M-7")))
        .containsExactly("rows.0.numbers: Barn store has 5 of lot M-7; at Barn store.");
    assertThat(
            book.faults(
                went(HONEY, "3", "M-7")
                    .line("item", "HONEY", "quantity", "3", "price", "10", "numbers", "M-7")))
        .containsExactly("rows.1.numbers: Barn store has 2 of lot M-7; at Barn store.");
  }

  private Written cameBack(String quantity, String numbers) {
    for (long id = 1; id <= 3; id++)
      book.traded.add(
          new Traded(
              600 + id,
              PaperKind.INVOICE,
              40,
              "INV-1",
              LocalDate.of(2026, 11, 10),
              0,
              SmallBook.FENWICK.id(),
              EXTRACTOR,
              1_000_000,
              0,
              500,
              1000,
              null,
              id,
              Map.of(),
              "",
              null));
    return Written.of(PaperKind.CUSTOMER_RETURN)
        .line("paper", "INV-1", "quantity", quantity, "numbers", numbers);
  }

  @Test
  void what_comes_back_went_with_that_paper_and_is_not_here() {
    here(EXTRACTOR, 1, "EX-1", 0, null);
    here(EXTRACTOR, 4, "EX-4", 0, null);
    book.kept.add(
        new Catalogue.Kept(
            new Lot(2, EXTRACTOR.id(), "EX-2", null),
            Map.of(1L, 1_000_000L),
            1_000_000,
            LocalDate.of(2026, 11, 1),
            "at Barn store"));
    assertThat(book.plan(cameBack("1", "EX-1")).events())
        .singleElement()
        .satisfies(e -> assertThat(e.target()).isEqualTo(new Plan.Earlier(601)));
    assertThat(book.faults(cameBack("1", "EX-2")))
        .containsExactly("rows.0.numbers: EX-2 is here already: at Barn store.");
    assertThat(book.faults(cameBack("1", "EX-9")))
        .containsExactly("rows.0.numbers: EX-9 has never been here.");
    assertThat(book.faults(cameBack("1", "EX-4")))
        .singleElement()
        .asString()
        .startsWith("rows.0.numbers: EX-4 ");
  }
}
