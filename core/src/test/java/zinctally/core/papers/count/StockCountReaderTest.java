package zinctally.core.papers.count;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.HIVE;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.Plan;

/** What was counted against what the book held. */
class StockCountReaderTest {
  private final SmallBook book = new SmallBook();

  private static Written counted(String... cells) {
    return Written.of(PaperKind.STOCK_COUNT).line(cells);
  }

  @Test
  void what_is_missing_goes_out_and_stock_count_differences_bears_it() {
    Plan plan = book.plan(counted("item", "HIVE", "expected", "12", "counted", "10"));
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.OUT);
              assertThat(e.quantity()).isEqualTo(Quantity.of("2"));
              assertThat(e.contra()).isEqualTo(book.account(Role.COUNT_DIFFERENCES).id());
            });
    assertThat(plan.moves())
        .extracting(Plan.Move::item, Plan.Move::place, Plan.Move::quantity)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(HIVE.id(), BARN.id(), Quantity.of("-2")));
  }

  @Test
  void what_is_over_comes_in_at_present_cost() {
    book.costs.put(HIVE.id(), new Catalogue.LatestCost(700, 2 * Quantity.ONE));
    Plan plan = book.plan(counted("item", "HIVE", "expected", "1 box", "counted", "15"));
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.IN);
              assertThat(e.quantity()).isEqualTo(Quantity.of("3"));
              assertThat(e.value()).isEqualTo(new Money(1050));
            });
  }

  @Test
  void a_serial_number_that_is_not_there_goes_out_itself() {
    Lot lot = new Lot(1, EXTRACTOR.id(), "EX-1", null);
    book.kept.add(
        new Catalogue.Kept(
            lot, Map.of(BARN.id(), Quantity.ONE), 901, LocalDate.of(2026, 11, 1), "at Barn store"));
    Plan plan =
        book.plan(counted("item", "EX", "expected", "1", "counted", "0", "numbers", "EX-1"));
    assertThat(plan.moves()).singleElement().satisfies(m -> assertThat(m.lot()).isEqualTo(lot));
  }

  @Test
  void its_line_says_what_was_counted_and_what_was_expected() {
    book.costs.put(HIVE.id(), new Catalogue.LatestCost(700, Quantity.ONE));
    assertThat(
            book.paper(
                    counted(
                        "item", "HIVE", "expected", "2", "counted", "3", "memo", "behind shelf"))
                .rows())
        .singleElement()
        .satisfies(r -> assertThat(r.wording()).isEqualTo("counted 3, expected 2; behind shelf"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "HIVE   | 4  | 4  | rows.0.counted: As many as the book held",
        "HIVE   | 4  | -1 | rows.0.counted: There cannot be fewer than none",
        "HIVE   | -4 | 1  | rows.0.expected: There cannot be fewer than none",
        "HIVE   |    | 1  | rows.0.expected: How many?",
        "HIVE   | 1  | 2  | rows.0.unit_cost: No cost of The hive is known",
        "ADVICE | 1  | 2  | rows.0.item: The advice is not kept in stock",
        "EX     | 0  | 1  | rows.0.unit_cost: No cost",
      })
  void what_is_wrong_is_said_at_its_cell(
      String item, String expected, String counted, String says) {
    assertThat(
            book.faults(
                counted(
                    "item",
                    item,
                    "expected",
                    expected == null ? "" : expected,
                    "counted",
                    counted)))
        .anySatisfy(f -> assertThat(f).startsWith(says));
  }

  @Test
  void a_note_that_is_too_long_says_so_at_its_cell() {
    String[] cells = {"item", "HIVE", "expected", "2", "counted", "1", "memo", "x".repeat(301)};
    String says = "rows.0.memo: This is 301 letters long; 300 fit.";
    assertThat(book.faults(counted(cells))).containsExactly(says);
    String[] moved = {"item", "HIVE", "quantity", "1", "memo", "x".repeat(301)};
    assertThat(book.faults(Written.of(PaperKind.TRANSFER).with("into", "Market van").line(moved)))
        .containsExactly(says);
    String[] gone = {
      "item", "HIVE", "quantity", "-1", "reason", "Breakage", "memo", "x".repeat(301)
    };
    assertThat(book.faults(Written.of(PaperKind.ADJUSTMENT).line(gone))).contains(says);
  }

  @Test
  void an_item_stands_there_once_and_an_unknown_sheet_is_named() {
    assertThat(
            book.faults(
                counted("item", "HIVE", "expected", "2", "counted", "1")
                    .line("item", "hive", "expected", "2", "counted", "1")
                    .with("sheet", "the first")))
        .containsExactlyInAnyOrder(
            "rows.1.item: The hive has a line already; counts of one item are added up.",
            "sheet: \"the first\" is no number of a count sheet; leave it empty for none.");
    assertThat(book.faults(Written.of(PaperKind.STOCK_COUNT)))
        .containsExactly(
            "rows.0.item: There is no difference yet: which item, how many did the book hold?");
  }
}
