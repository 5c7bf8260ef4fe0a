package zinctally.core.papers.order;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.FENWICK;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

class OrderReaderTest {
  private final SmallBook book = new SmallBook();

  private static Written hives(PaperKind kind, String quantity, String price) {
    return Written.of(kind).line("item", "HIVE", "quantity", quantity, "price", price, "tax", "S");
  }

  @Test
  void an_order_books_nothing_and_waits_for_goods_and_bill() {
    Plan plan = book.plan(hives(PaperKind.PURCHASE_ORDER, "3", "10.00"));
    assertThat(plan.lines()).isEmpty();
    assertThat(plan.events()).isEmpty();
    assertThat(plan.awaits())
        .extracting(Plan.Wait::what)
        .containsExactly(Awaits.ORDERED_GOODS, Awaits.ORDERED_BILL);
    assertThat(plan.awaits())
        .allSatisfy(w -> assertThat(w.quantity().micros()).isEqualTo(3_000_000));
    assertThat(book.plan(hives(PaperKind.SALES_ORDER, "3", "10.00")).awaits())
        .extracting(Plan.Wait::what)
        .containsExactly(Awaits.PROMISED_GOODS, Awaits.PROMISED_INVOICE);
    assertThat(
            book.plan(
                    Written.of(PaperKind.PURCHASE_ORDER)
                        .line("item", "ADVICE", "quantity", "1", "price", "5"))
                .awaits())
        .extracting(Plan.Wait::what)
        .containsExactly(Awaits.ORDERED_BILL);
  }

  @Test
  void a_price_may_be_missing_when_buying_and_not_when_selling() {
    assertThat(book.paper(hives(PaperKind.PURCHASE_ORDER, "3", "")).total()).isZero();
    assertThat(book.faults(hives(PaperKind.SALES_ORDER, "3", "")).get(0))
        .startsWith("rows.0.price");
    var order = book.paper(hives(PaperKind.SALES_ORDER, "3", "10.00").with("off", "5.00"));
    assertThat(order.head().net()).isEqualTo(2500);
    assertThat(order.head().tax()).isEqualTo(500);
    assertThat(order.rows().get(0).net()).isEqualTo(2500);
    assertThat(order.sums()).extracting(s -> s.amount()).containsExactly(2500L, 500L, 3000L);
  }

  @Test
  void what_is_short_is_noted_with_what_is_elsewhere_and_what_comes() {
    book.free = new Catalogue.Free(2_000_000, 5_000_000, 0, null);
    assertThat(book.notes(hives(PaperKind.SALES_ORDER, "2", "10"))).isEmpty();
    assertThat(book.notes(hives(PaperKind.SALES_ORDER, "3", "10")))
        .containsExactly("The hive is short: 2 of 3 are free here, 3 elsewhere; none is on order.");
    book.free = new Catalogue.Free(2_000_000, 2_000_000, 6_000_000, LocalDate.of(2026, 12, 1));
    assertThat(
            book.notes(
                hives(PaperKind.SALES_ORDER, "2", "10")
                    .line("item", "HIVE", "quantity", "1", "price", "10")))
        .containsExactly(
            "The hive is short: 0 of 1 are free here; 6 on order, expected 2026-12-01.");
    assertThat(book.notes(hives(PaperKind.PURCHASE_ORDER, "3", "10"))).isEmpty();
  }

  @Test
  void an_order_counts_towards_the_limit_with_tax() {
    book.limits.put(FENWICK.id(), 3600L);
    assertThat(book.faults(hives(PaperKind.SALES_ORDER, "3", "10.00"))).isEmpty();
    assertThat(book.faults(hives(PaperKind.SALES_ORDER, "3", "10.01")).get(0))
        .startsWith("customer: Fenwick Garden would owe 36.04");
  }

  @Test
  void goods_are_not_expected_before_the_order() {
    Written order = hives(PaperKind.PURCHASE_ORDER, "1", "1").with("expected", "2026-11-19");
    assertThat(book.faults(order).get(0)).startsWith("expected: Expected on 2026-11-19");
    assertThat(book.faults(order.with("expected", "2026-11-20"))).isEmpty();
    assertThat(book.faults(Written.of(PaperKind.PURCHASE_ORDER)).get(0)).contains("no line yet");
  }
}
