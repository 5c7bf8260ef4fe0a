package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OrderStore;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.posting.Ordering;

/** What is to be made promises its parts, and is on order, until it is made. */
class WorkOrderTest {
  private FreshBook book;
  private long order;

  @BeforeEach
  void twelve_jars_and_lids_of_which_ten_kits_are_ordered() {
    book = new FreshBook();
    for (String code : List.of("KIT", "JAR", "LID")) book.item(code, "FIFO");
    book.bill("2026-02-01", "JAR", "12", "2.00", "LID", "12", "0.50");
    order =
        book.paper(
            PaperKind.WORK_ORDER,
            "2026-02-02",
            Map.of("item", "KIT", "quantity", "10", "expected", "2026-02-20"),
            "item quantity",
            "JAR",
            "10",
            "LID",
            "10");
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long make(String date, String kits, String jars) {
    return book.paper(
        PaperKind.ASSEMBLY,
        date,
        Map.of("item", "KIT", "quantity", kits, "work_order", book.number(order)),
        "item quantity",
        "JAR",
        jars,
        "LID",
        kits);
  }

  private String free(String code) {
    long item =
        book.sql().sql("select id from item where code = ?").param(code).query(Long.class).single();
    Catalogue.Free free = book.get(Catalogues.class).open().free(item, 1);
    return free.here() / 1_000_000 + " free, " + free.onOrder() / 1_000_000 + " to come";
  }

  private String state() {
    return book.get(OrderStore.class).head(order).orElseThrow().state();
  }

  @Test
  void parts_are_promised_and_the_result_is_to_come_until_it_is_made() {
    assertThat(List.of(free("JAR"), free("KIT"), state()))
        .containsExactly("2 free, 0 to come", "0 free, 10 to come", "open");
    long first = make("2026-02-05", "6", "6");
    assertThat(List.of(free("JAR"), free("KIT"), state()))
        .containsExactly("2 free, 0 to come", "6 free, 4 to come", "in hand");
    make("2026-02-06", "4", "3");
    assertThat(List.of(free("JAR"), free("KIT"), state()))
        .as("one jar fewer than was thought is free again")
        .containsExactly("3 free, 0 to come", "10 free, 0 to come", "complete");
    assertThatThrownBy(() -> book.voidOn("2026-02-02", order))
        .isInstanceOfSatisfying(
            Refused.class, r -> assertThat(r.faults().get(0).says()).contains("goes on from"));
    book.voidOn("2026-02-05", first);
    assertThat(List.of(free("KIT"), state())).containsExactly("4 free, 6 to come", "in hand");
  }

  @Test
  void what_is_promised_to_it_is_asked_about_when_it_is_sold_and_not_when_it_is_made() {
    assertThatThrownBy(() -> book.invoice("2026-02-05", "JAR", "3", "5.00"))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> assertThat(r.faults().get(0).says()).contains("first to " + book.number(order)));
    make("2026-02-05", "10", "10");
  }

  @Test
  void a_stopped_order_promises_nothing_and_asks_for_nothing() {
    make("2026-02-05", "6", "6");
    book.get(Ordering.class).end(order, "tester");
    assertThat(List.of(free("JAR"), free("KIT"), state()))
        .containsExactly("6 free, 0 to come", "6 free, 0 to come", "cancelled");
  }

  @Test
  void what_does_not_fit_it_is_said_at_its_cell() {
    wrong("KIT", "1", "WO-9", "work_order: There is no work order \"WO-9\" that stands.");
    wrong("LID", "1", book.number(order), "is to make Item KIT, not Item LID.");
    wrong("KIT", "11", book.number(order), "quantity: Of " + book.number(order) + " 10 are left");
    book.sql().sql("update book set approver = 'OWNER'").update();
    book.sql().sql("update order_head set approved_at = null").update();
    wrong("KIT", "1", book.number(order), "waits for approval");
  }

  private void wrong(String item, String quantity, String of, String says) {
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.ASSEMBLY,
                    "2026-02-05",
                    Map.of("item", item, "quantity", quantity, "work_order", of),
                    "item quantity",
                    "JAR",
                    "1"))
        .isInstanceOfSatisfying(
            Refused.class,
            r ->
                assertThat(r.faults())
                    .extracting(f -> f.cell() + ": " + f.says())
                    .anyMatch(fault -> fault.contains(says)));
  }

  @Test
  void an_order_is_amended_as_far_as_it_is_not_made() {
    make("2026-02-05", "6", "6");
    book.amend(
        order,
        PaperKind.WORK_ORDER,
        Map.of("date", "2026-02-02", "place", "Store", "item", "KIT", "quantity", "8"),
        List.of(Map.of("item", "JAR", "quantity", "8"), Map.of("item", "LID", "quantity", "8")));
    assertThat(List.of(free("JAR"), free("KIT")))
        .containsExactly("4 free, 0 to come", "6 free, 2 to come");
  }
}
