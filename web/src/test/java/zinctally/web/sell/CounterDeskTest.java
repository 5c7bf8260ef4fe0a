package zinctally.web.sell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.ledger.Account;
import zinctally.core.papers.CounterSale;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Tender;
import zinctally.core.papers.Trade;
import zinctally.core.proof.Proof;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Refused;
import zinctally.web.shell.Say;

/** What the card reader and the printer are asked for, with both of them absent. */
class CounterDeskTest {
  private static final Draft TYPED = new Draft(PaperKind.COUNTER_SALE, Map.of(), List.of());
  private final Posting posting = mock();
  private final PaperStore papers = mock();
  private final CardReader cards = mock();
  private final ReceiptPrinter printer = mock();
  private final CounterReceipt receipts = mock();
  private final Say say = mock();
  private final CounterDesk desk = new CounterDesk(posting, papers, cards, printer, receipts, say);

  @BeforeEach
  void prepare() throws Exception {
    when(papers.find(7)).thenReturn(Optional.of(mock(PostedPaper.class)));
    when(receipts.of(any(), anyString())).thenReturn("a receipt");
    when(say.money(250L)).thenReturn("2.50");
    when(cards.charge(anyString(), anyLong())).thenReturn("payment 1");
  }

  private void proves(long change, Tender... tenders) {
    Trade goods =
        new Trade(
            PaperKind.COUNTER_SALE,
            LocalDate.of(2026, 5, 2),
            LocalDate.of(2026, 5, 2),
            mock(Party.class),
            "",
            null,
            List.of(),
            Trade.Bears.EXPENSE);
    CounterSale sale = new CounterSale(goods, List.of(tenders), null, 0, change, List.of(), "");
    Proof proof = mock();
    when(proof.sound()).thenReturn(true);
    when(proof.reading())
        .thenReturn(new Reading(Optional.of(sale), List.of(), List.of(), Map.of()));
    when(posting.prove(TYPED, 0, "counter")).thenReturn(proof);
  }

  private static Tender paid(Tender.Kind kind, long amount) {
    return new Tender(kind, mock(Account.class), amount);
  }

  @Test
  void the_card_is_charged_its_part_before_the_sale_is_posted_and_a_receipt_is_printed()
      throws Exception {
    proves(250, paid(Tender.Kind.CARD, 5000), paid(Tender.Kind.CASH, 1750));
    when(posting.post(3, "counter")).thenReturn(7L);
    assertThat(desk.sell(3, TYPED, "counter")).isEqualTo(new CounterDesk.Done(7, "2.50"));
    var order = org.mockito.Mockito.inOrder(cards, posting, printer);
    order.verify(cards).charge("3", 5000);
    order.verify(posting).post(3, "counter");
    order.verify(printer).print("a receipt");
    verify(cards, never()).giveBack(anyString());
  }

  @Test
  void a_card_that_does_not_pay_posts_nothing_and_says_why_at_its_cell() throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    when(cards.charge("3", 5000)).thenThrow(new CardReader.Declined("It is blocked."));
    assertThatThrownBy(() -> desk.sell(3, TYPED, "counter"))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> assertThat(r.faults()).containsExactly(new Fault("card", "It is blocked.")));
    verify(posting, never()).post(anyLong(), anyString());
    verifyNoInteractions(printer);
  }

  @Test
  void a_sale_that_is_refused_after_the_card_has_paid_gives_its_money_back() throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    when(posting.post(3, "counter")).thenThrow(new Refused(List.of(Fault.whole("None is left."))));
    assertThatThrownBy(() -> desk.sell(3, TYPED, "counter")).hasMessageContaining("None is left");
    verify(cards).giveBack("payment 1");
    verifyNoInteractions(printer);
  }

  @Test
  void a_sale_paid_in_cash_leaves_the_card_reader_alone() {
    proves(0, paid(Tender.Kind.CASH, 900));
    when(posting.post(3, "counter")).thenReturn(7L);
    assertThat(desk.sell(3, TYPED, "counter").change()).isEmpty();
    verifyNoInteractions(cards);
  }
}
