package zinctally.core.papers.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;

class NextTest {
  private static List<String> after(PaperKind kind, Next.Open open) {
    return Next.after(kind, open).stream().map(Next::words).toList();
  }

  private static Next.Open waiting(Awaits... what) {
    return new Next.Open(Set.of(what), false, false, false);
  }

  @Test
  void what_can_be_written_next_follows_from_what_is_still_awaited() {
    assertThat(after(PaperKind.PURCHASE_ORDER, waiting(Awaits.ORDERED_GOODS, Awaits.ORDERED_BILL)))
        .containsExactly("Goods have come", "Bill has come");
    assertThat(
            after(PaperKind.SALES_ORDER, waiting(Awaits.PROMISED_GOODS, Awaits.PROMISED_INVOICE)))
        .containsExactly(
            "Deliver what is here", "Send and invoice", "Invoice ahead", "Make what is missing");
    assertThat(after(PaperKind.SALES_ORDER, waiting(Awaits.PROMISED_INVOICE)))
        .containsExactly("Send and invoice");
    assertThat(after(PaperKind.INVOICE, waiting(Awaits.INVOICED_GOODS)))
        .containsExactly("Deliver what is here", "Make what is missing");
    assertThat(after(PaperKind.DELIVERY, waiting(Awaits.SENT_INVOICE)))
        .containsExactly("Invoice what went");
    assertThat(after(PaperKind.ADJUSTMENT, waiting())).isEmpty();
  }

  @Test
  void what_is_away_comes_back_and_what_is_to_be_made_is_made() {
    assertThat(after(PaperKind.TRANSFER, waiting(Awaits.ON_THE_WAY)))
        .containsExactly("They have come");
    assertThat(after(PaperKind.REPAIR_OUT, waiting(Awaits.IN_REPAIR)))
        .containsExactly("They are back");
    assertThat(after(PaperKind.TAKEN_IN, waiting(Awaits.TO_GIVE_BACK)))
        .containsExactly("Give them back", "Invoice the work");
    assertThat(after(PaperKind.WORK_ORDER, waiting(Awaits.TO_BE_MADE)))
        .containsExactly("Make what is left");
    assertThat(Next.goesBack(PaperKind.TRANSFER, Set.of())).isTrue();
    assertThat(Next.goesBack(PaperKind.TRANSFER, Set.of(Awaits.ON_THE_WAY))).isFalse();
    assertThat(Next.goesBack(PaperKind.REPAIR_OUT, Set.of())).isFalse();
  }

  @Test
  void what_is_owed_is_paid_and_what_came_back_is_credited_or_exchanged() {
    Next.Open owing = new Next.Open(Set.of(), true, false, false);
    Next.Open owed = new Next.Open(Set.of(), false, true, true);
    Next.Open partly = new Next.Open(Set.of(), false, true, false);
    assertThat(after(PaperKind.BILL, owing)).containsExactly("Pay");
    assertThat(after(PaperKind.CUSTOMER_RETURN, owing))
        .containsExactly("Exchange over the counter");
    assertThat(after(PaperKind.INVOICE, partly)).containsExactly("Payment has come");
    assertThat(after(PaperKind.SUPPLIER_RETURN, owed)).containsExactly("Credit note has come");
    assertThat(after(PaperKind.SUPPLIER_RETURN, partly)).isEmpty();
  }

  @Test
  void goods_go_back_by_the_side_they_came_from() {
    assertThat(Next.back(PaperKind.RECEIPT, Set.of())).contains(PaperKind.SUPPLIER_RETURN);
    assertThat(Next.back(PaperKind.COUNTER_SALE, Set.of())).contains(PaperKind.CUSTOMER_RETURN);
    assertThat(Next.back(PaperKind.DELIVERY, Set.of())).isEmpty();
    assertThat(Next.back(PaperKind.DELIVERY, Set.of(Awaits.SENT_INVOICE)))
        .contains(PaperKind.CUSTOMER_RETURN);
    assertThat(Next.back(PaperKind.PURCHASE_ORDER, Set.of())).isEmpty();
  }
}
