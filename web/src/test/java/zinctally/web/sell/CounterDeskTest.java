package zinctally.web.sell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.ledger.Account;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.trade.CounterSale;
import zinctally.core.papers.trade.Tender;
import zinctally.core.papers.trade.Trade;
import zinctally.core.proof.Proof;
import zinctally.store.Refused;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;
import zinctally.store.sell.CardPayments;
import zinctally.store.sell.CardPayments.Payment;
import zinctally.store.sell.CardPayments.State;
import zinctally.web.shell.Say;

/** What the card reader and the printer are asked for, with both of them absent. */
class CounterDeskTest {
  private static final Draft TYPED = new Draft(PaperKind.COUNTER_SALE, Map.of(), List.of());
  private static final SavedDraft DRAFT =
      new SavedDraft(3, TYPED, 4, LocalDateTime.MIN, "counter", "", "counter", false, 0, 0, 0);
  private static final SavedDraft.Seen SEEN = DRAFT.seen();
  private static final Payment ASKED = new Payment(11, 3, 5000, State.ASKED, "");
  private final Posting posting = mock();
  private final Proving proving = mock();
  private final PaperStore papers = mock();
  private final CardPayments payments = mock();
  private final CardReader cards = mock();
  private final ReceiptPrinter printer = mock();
  private final CounterReceipt receipts = mock();
  private final Say say = mock();
  private final CounterDesk desk =
      new CounterDesk(posting, proving, papers, payments, cards, printer, receipts, say);

  @BeforeEach
  void prepare() throws Exception {
    when(papers.find(7)).thenReturn(Optional.of(mock(PostedPaper.class)));
    when(receipts.of(any())).thenReturn("a receipt");
    when(say.money(250L)).thenReturn("2.50");
    when(cards.charge(anyString(), anyLong())).thenReturn("payment 1");
    when(payments.underWay(3)).thenReturn(Optional.empty());
    when(payments.begin(3, 5000, "counter")).thenReturn(Optional.of(ASKED));
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
    when(proving.prove(TYPED, 0, "counter")).thenReturn(proof);
  }

  /** A payment that is charged and not booked. */
  private Payment charged(long id, long amount, String reference) {
    Payment charged = new Payment(id, 3, amount, State.CHARGED, reference);
    when(payments.moves(charged, State.DUE_BACK)).thenReturn(true);
    return charged;
  }

  private static Tender paid(Tender.Kind kind, long amount) {
    return new Tender(kind, mock(Account.class), amount);
  }

  @Test
  void the_card_is_charged_its_part_before_the_sale_is_posted_and_a_receipt_is_printed()
      throws Exception {
    proves(250, paid(Tender.Kind.CARD, 5000), paid(Tender.Kind.CASH, 1750));
    when(posting.post(eq(3L), eq(SEEN), eq("counter"), any())).thenReturn(7L);
    assertThat(desk.sell(DRAFT, SEEN, "counter")).isEqualTo(new CounterDesk.Done(7, "2.50"));
    var order = org.mockito.Mockito.inOrder(payments, cards, posting, printer);
    order.verify(payments).begin(3, 5000, "counter");
    order.verify(cards).charge("P11", 5000);
    order.verify(payments).charged(11, "payment 1");
    order.verify(posting).post(eq(3L), eq(SEEN), eq("counter"), any());
    order.verify(printer).print("a receipt");
    verify(cards, never()).giveBack(anyString());
  }

  @Test
  void a_card_that_does_not_pay_posts_nothing_and_says_why_at_its_cell() throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    when(cards.charge("P11", 5000)).thenThrow(new CardReader.Declined("It is blocked."));
    assertThatThrownBy(() -> desk.sell(DRAFT, SEEN, "counter"))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> assertThat(r.faults()).containsExactly(new Fault("card", "It is blocked.")));
    verify(posting, never()).post(anyLong(), any(), anyString(), any());
    verify(payments).moves(ASKED, State.DECLINED);
    verifyNoInteractions(printer);
  }

  @Test
  void a_sale_that_is_refused_after_the_card_has_paid_gives_its_money_back() throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    when(posting.post(eq(3L), eq(SEEN), eq("counter"), any()))
        .thenThrow(new Refused(List.of(Fault.whole("None is left."))));
    Payment charged = charged(11, 5000, "payment 1");
    assertThatThrownBy(() -> desk.sell(DRAFT, SEEN, "counter"))
        .hasMessageContaining("None is left");
    verify(cards).giveBack("P11");
    verify(payments).moves(charged.in(State.DUE_BACK), State.BACK);
    verifyNoInteractions(printer);
  }

  @Test
  void what_is_charged_for_a_sale_that_is_posted_already_is_given_back() throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    charged(11, 5000, "payment 1");
    when(posting.post(eq(3L), eq(SEEN), eq("counter"), any())).thenReturn(7L);
    desk.sell(DRAFT, SEEN, "counter");
    verify(cards).giveBack("P11");
  }

  @Test
  void a_payment_that_another_window_has_booked_meanwhile_is_not_given_back() {
    Payment seen = new Payment(9, 3, 250, State.CHARGED, "payment 0");
    when(payments.moves(seen, State.DUE_BACK)).thenReturn(false);
    assertThat(desk.giveBack(seen)).isFalse();
    verifyNoInteractions(cards);
  }

  @Test
  void a_sale_paid_in_cash_leaves_the_card_reader_alone() {
    proves(0, paid(Tender.Kind.CASH, 900));
    when(posting.post(3, SEEN, "counter")).thenReturn(7L);
    assertThat(desk.sell(DRAFT, SEEN, "counter").change()).isEmpty();
    verifyNoInteractions(cards);
  }

  @Test
  void a_card_that_was_charged_before_a_crash_pays_the_sale_and_is_not_charged_again()
      throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    Payment left = new Payment(9, 3, 5000, State.CHARGED, "payment 0");
    when(payments.underWay(3)).thenReturn(Optional.of(left));
    when(posting.post(eq(3L), eq(SEEN), eq("counter"), any())).thenReturn(7L);
    assertThat(desk.sell(DRAFT, SEEN, "counter").id()).isEqualTo(7);
    verifyNoInteractions(cards);
  }

  @Test
  void a_charge_of_another_amount_is_given_back_before_the_card_is_asked_again() throws Exception {
    proves(0, paid(Tender.Kind.CARD, 5000));
    Payment left = charged(9, 4100, "payment 0");
    when(payments.underWay(3)).thenReturn(Optional.of(left));
    when(posting.post(eq(3L), eq(SEEN), eq("counter"), any())).thenReturn(7L);
    desk.sell(DRAFT, SEEN, "counter");
    verify(cards).giveBack("P9");
    verify(cards).charge("P11", 5000);
  }

  @Test
  void a_sale_for_which_another_window_asks_a_card_already_asks_none() {
    proves(0, paid(Tender.Kind.CARD, 5000));
    when(payments.begin(3, 5000, "counter")).thenReturn(Optional.empty());
    assertThatThrownBy(() -> desk.sell(DRAFT, SEEN, "counter"))
        .hasMessageContaining("in another window");
    verifyNoInteractions(cards);
  }

  @Test
  void what_the_reader_cannot_give_back_stays_in_the_list_of_what_is_due() {
    Payment paid = new Payment(9, 3, 250, State.BOOKED, "payment 0");
    when(payments.booked(7L)).thenReturn(List.of(paid));
    when(payments.moves(paid, State.DUE_BACK)).thenReturn(true);
    org.mockito.Mockito.doThrow(new IllegalStateException("no line")).when(cards).giveBack("P9");
    assertThat(desk.voided(7)).contains("2.50 is to be given back on the card by hand");
    verify(payments).moves(paid, State.DUE_BACK);
    verify(payments, never()).moves(any(), eq(State.BACK));
  }
}
