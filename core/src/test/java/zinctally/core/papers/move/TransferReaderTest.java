package zinctally.core.papers.move;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.HONEY;
import static zinctally.core.papers.SmallBook.VAN;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.Plan;

/** Goods that go from one place to another. */
class TransferReaderTest {
  private final SmallBook book = new SmallBook();

  private static Written goes(String... cells) {
    return Written.of(PaperKind.TRANSFER).with("into", "Market van").line(cells);
  }

  private static Plan.Move move(int part, Item item, long place, long micros, Lot lot) {
    return new Plan.Move(new Spot(0, part), item.id(), place, new Quantity(micros), null, lot);
  }

  private Lot kept(Item item, long id, String code, long micros) {
    Lot lot = new Lot(id, item.id(), code, null);
    book.kept.add(
        new Catalogue.Kept(
            lot, Map.of(BARN.id(), micros), 900 + id, LocalDate.of(2026, 11, 1), "at Barn store"));
    return lot;
  }

  @Test
  void what_leaves_one_place_comes_to_the_other_and_neither_pools_nor_ledger_know_of_it() {
    Plan plan = book.plan(goes("item", "HIVE", "quantity", "3"));
    assertThat(plan)
        .isEqualTo(
            new Plan(
                List.of(),
                List.of(
                    move(0, HIVE, BARN.id(), -3_000_000, null),
                    move(1, HIVE, VAN.id(), 3_000_000, null)),
                List.of(),
                List.of(),
                List.of()));
  }

  @Test
  void serial_numbers_and_lots_go_along_with_the_goods() {
    Lot one = kept(EXTRACTOR, 1, "EX-1", Quantity.ONE);
    assertThat(book.plan(goes("item", "EX", "quantity", "1", "numbers", "EX-1")).moves())
        .containsExactly(
            move(0, EXTRACTOR, BARN.id(), -Quantity.ONE, one),
            move(1, EXTRACTOR, VAN.id(), Quantity.ONE, one));
    Lot heather = kept(HONEY, 2, "H-26", 5 * Quantity.ONE);
    Lot clover = kept(HONEY, 3, "C-26", 5 * Quantity.ONE);
    assertThat(
            book.plan(goes("item", "HONEY", "quantity", "6", "numbers", "H-26: 5, C-26: 1"))
                .moves())
        .containsExactlyInAnyOrder(
            move(0, HONEY, BARN.id(), -5 * Quantity.ONE, heather),
            move(0, HONEY, BARN.id(), -Quantity.ONE, clover),
            move(1, HONEY, VAN.id(), 5 * Quantity.ONE, heather),
            move(1, HONEY, VAN.id(), Quantity.ONE, clover));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "HIVE | 3 | Barn store | into: That is where they are; to which other place, or into which standing, do they go?",
        "HIVE | 3 | The moon | into: There is no place called \"The moon\".",
        "HIVE | -3 | Market van | rows.0.quantity: The quantity must be above zero; what comes back is"
            + " a transfer the other way.",
        "ADVICE | 1 | Market van | rows.0.item: The advice is not kept in stock; there is nothing to move.",
        "EX | 1 | Market van | rows.0.numbers: Which serial numbers? Here are EX-1.",
      })
  void what_cannot_go_is_refused_at_its_cell(
      String item, String quantity, String into, String fault) {
    kept(EXTRACTOR, 1, "EX-1", Quantity.ONE);
    assertThat(book.faults(goes("item", item, "quantity", quantity).with("into", into)))
        .containsExactly(fault);
  }

  @Test
  void nothing_typed_asks_for_a_line_and_what_is_promised_is_asked_about() {
    assertThat(book.faults(Written.of(PaperKind.TRANSFER).with("into", "Market van")))
        .containsExactly("rows.0.item: There is no line yet: what goes, and how many?");
    book.promised = new Catalogue.Promised(5_000_000, 4_000_000, "SO-1");
    assertThat(book.faults(goes("item", "HIVE", "quantity", "2")))
        .singleElement()
        .asString()
        .contains("promised before, first to SO-1");
  }

  @Test
  void it_is_kept_with_both_places_and_comes_to_nothing() {
    Paper paper = book.paper(goes("item", "HIVE", "quantity", "2", "memo", "for Saturday"));
    assertThat(paper.head().place()).isEqualTo(BARN);
    assertThat(paper.total()).isZero();
    assertThat(paper.rows())
        .singleElement()
        .satisfies(
            r -> {
              assertThat(r.place()).isEqualTo(VAN);
              assertThat(r.quantity()).hasToString("2");
              assertThat(r.wording()).isEqualTo("for Saturday");
            });
  }
}
