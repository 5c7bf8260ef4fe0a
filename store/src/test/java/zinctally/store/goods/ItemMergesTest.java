package zinctally.store.goods;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.FreshBook;
import zinctally.store.book.Catalogues;
import zinctally.store.book.SetUp;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;

/** Items that turn out to be one. */
class ItemMergesTest {
  static final FreshBook book = new FreshBook();
  private static ItemMerges merges;

  @BeforeAll
  static void begin() {
    merges = book.get(ItemMerges.class);
  }

  @AfterAll
  static void close() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private static ItemCard card(String code) {
    long id =
        book.sql().sql("select id from item where code = ?").param(code).query(Long.class).single();
    return book.get(ItemStore.class).find(id).orElseThrow();
  }

  private static String found(String typed) {
    return book.get(Catalogues.class).open().item(typed).orElseThrow().code();
  }

  private static void merge(String from, String into) {
    assertThat(merges.refusal(card(from), card(into))).isEmpty();
    book.get(SetUp.class)
        .alone(
            () -> {
              merges.merge(card(from), card(into), "tester");
              return null;
            });
  }

  @Test
  void code_barcode_and_name_lead_to_the_other_and_each_keeps_its_history() {
    book.item("SMK-A", "FIFO");
    book.item("SMK-B", "AVERAGE");
    book.sql().sql("update item set gtin = '4006381333931' where code = 'SMK-A'").update();
    book.bill("2026-02-01", "SMK-A", "2", "5.00");
    long sale = book.invoice("2026-02-02", "SMK-A", "2", "9.00");
    book.bill("2026-02-03", "SMK-B", "3", "6.00");
    var before = book.figures();
    merge("SMK-A", "SMK-B");
    assertThat(book.figures()).isEqualTo(before);
    assertThat(List.of(found("smk-a"), found("4006381333931"), found("Item SMK-A")))
        .containsOnly("SMK-B");
    book.invoice("2026-02-04", "SMK-A", "1", "9.00");
    assertThat(book.worth("SMK-B")).isEqualTo(1200);
    assertThat(book.worth("SMK-A")).isZero();
    book.voidOn("2026-02-05", sale);
    assertThat(book.worth("SMK-A")).as("its own pool has the goods again").isEqualTo(1000);
    book.sql().sql("update item set active = true where code = 'SMK-A'").update();
    assertThat(found("SMK-A")).isEqualTo("SMK-A");
  }

  @Test
  void what_is_on_hand_awaited_or_counted_otherwise_stays_its_own() {
    book.item("TOOL-A", "FIFO");
    book.item("TOOL-B", "FIFO");
    book.item("WAX-KG", "FIFO");
    book.sql().sql("update item set base_unit = 'KGM' where code = 'WAX-KG'").update();
    assertThat(merges.refusal(card("TOOL-A"), card("TOOL-A")).orElseThrow())
        .contains("the same item");
    assertThat(merges.refusal(card("TOOL-A"), card("WAX-KG")).orElseThrow())
        .contains("different units, each and kg");
    book.bill("2026-03-01", "TOOL-A", "4", "2.00");
    assertThat(merges.refusal(card("TOOL-A"), card("TOOL-B")).orElseThrow())
        .contains("4 of TOOL-A are on hand. Adjust them down, and TOOL-B up");
    book.paper(
        PaperKind.ADJUSTMENT,
        "2026-03-02",
        Map.of(),
        "item quantity reason unit_cost",
        "TOOL-A",
        "-4",
        "Found",
        "",
        "TOOL-B",
        "4",
        "Found",
        "2.00");
    book.paper(
        PaperKind.PURCHASE_ORDER,
        "2026-03-03",
        Map.of(),
        "item quantity price",
        "TOOL-A",
        "5",
        "2");
    assertThat(merges.refusal(card("TOOL-A"), card("TOOL-B")).orElseThrow())
        .contains("2 lines of papers still wait for TOOL-A");
  }
}
