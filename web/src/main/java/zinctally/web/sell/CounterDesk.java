package zinctally.web.sell;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Fault;
import zinctally.core.papers.trade.CounterSale;
import zinctally.core.papers.trade.Tender;
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

/**
 * Posts a counter sale: the card pays first, and gets its money back when the sale is refused. What
 * the card was asked for is written down before and after.
 */
@Component
public class CounterDesk {
  private static final Logger LOG = LoggerFactory.getLogger(CounterDesk.class);
  private final Posting posting;
  private final Proving proving;
  private final PaperStore papers;
  private final CardPayments payments;
  private final CardReader cards;
  private final ReceiptPrinter printer;
  private final CounterReceipt receipts;
  private final Say say;

  CounterDesk(
      Posting posting,
      Proving proving,
      PaperStore papers,
      CardPayments payments,
      CardReader cards,
      ReceiptPrinter printer,
      CounterReceipt receipts,
      Say say) {
    this.posting = posting;
    this.proving = proving;
    this.papers = papers;
    this.payments = payments;
    this.cards = cards;
    this.printer = printer;
    this.receipts = receipts;
    this.say = say;
  }

  /**
   * @param change in words; empty for none
   */
  public record Done(long id, String change) {}

  /**
   * Posts a sale and prints its receipt.
   *
   * @param draft what the window has of it, kept
   * @throws Refused when something stands in the way, or the card does not pay; nothing has changed
   */
  public Done sell(SavedDraft draft, SavedDraft.Seen seen, String login) {
    Proof proof = proving.prove(draft.draft(), 0, login);
    if (!proof.sound()) throw new Refused(proof.faults());
    CounterSale sale = (CounterSale) proof.reading().paper().orElseThrow();
    long card =
        sale.tenders().stream()
            .filter(t -> t.kind() == Tender.Kind.CARD)
            .mapToLong(Tender::amount)
            .sum();
    long id =
        card == 0
            ? posting.post(draft.id(), seen, login)
            : paidByCard(charged(draft.id(), card, login), seen, login);
    String change = sale.change() == 0 ? "" : say.money(sale.change());
    PostedPaper posted = papers.find(id).orElseThrow();
    printer.print(receipts.of(posted));
    return new Done(id, change);
  }

  private long paidByCard(Payment payment, SavedDraft.Seen seen, String login) {
    try {
      return posting.post(
          payment.draft(), seen, login, paper -> payments.booked(payment.id(), paper));
    } finally {
      // still charged: refused, or posted before with another payment
      giveBack(payment);
    }
  }

  /** The card's payment for a sale; one that a crash has left is taken, not charged again. */
  private Payment charged(long draft, long amount, String login) {
    Payment before = payments.underWay(draft).orElse(null);
    if (before != null && before.state() == State.CHARGED) {
      if (before.amount() == amount) return before;
      giveBack(before);
    }
    Payment payment =
        payments
            .begin(draft, amount, login)
            .orElseThrow(
                () ->
                    refused(
                        "A card is being asked to pay for this sale already, in another window;"
                            + " if none is, Card payments under Sell settles it."));
    try {
      String reference = cards.charge(payment.key(), amount);
      payments.charged(payment.id(), reference);
      return new Payment(payment.id(), draft, amount, State.CHARGED, reference);
    } catch (CardReader.Declined declined) {
      payments.moves(payment, State.DECLINED);
      throw refused(String.valueOf(declined.getMessage()));
    }
  }

  /**
   * Gives a payment back through the reader, or leaves it in the list of what is to be given back.
   *
   * <p>One that is no longer where it was seen, as when another window has booked it, stays.
   *
   * @return whether the reader has given it back
   */
  public boolean giveBack(Payment payment) {
    if (!payments.moves(payment, State.DUE_BACK)) return false;
    try {
      cards.giveBack(payment.key());
    } catch (RuntimeException silent) {
      LOG.warn("card payment {} could not be given back", payment.id(), silent);
      return false;
    }
    payments.moves(payment.in(State.DUE_BACK), State.BACK);
    return true;
  }

  /**
   * Gives back what cards paid for a sale that is void now.
   *
   * @return what became of it, as a sentence; empty when no card had paid
   */
  public String voided(long paper) {
    StringBuilder told = new StringBuilder();
    for (Payment payment : payments.booked(paper))
      told.append(' ')
          .append(say.money(payment.amount()))
          .append(
              giveBack(payment)
                  ? " is given back on the card."
                  : " is to be given back on the card by hand: the reader could not.");
    return told.toString();
  }

  private static Refused refused(String says) {
    return new Refused(List.of(new Fault("card", says)));
  }
}
