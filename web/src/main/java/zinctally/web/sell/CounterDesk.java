package zinctally.web.sell;

import java.util.List;
import org.springframework.stereotype.Component;
import zinctally.core.papers.CounterSale;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Tender;
import zinctally.core.proof.Proof;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Refused;
import zinctally.web.shell.Say;

/** Posts a counter sale: the card pays first, and gets its money back when the sale is refused. */
@Component
public class CounterDesk {
  private final Posting posting;
  private final PaperStore papers;
  private final CardReader cards;
  private final ReceiptPrinter printer;
  private final CounterReceipt receipts;
  private final Say say;

  CounterDesk(
      Posting posting,
      PaperStore papers,
      CardReader cards,
      ReceiptPrinter printer,
      CounterReceipt receipts,
      Say say) {
    this.posting = posting;
    this.papers = papers;
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
   * @throws Refused when something stands in the way, or the card does not pay; nothing has changed
   */
  public Done sell(long draft, Draft typed, String login) {
    Proof proof = posting.prove(typed, 0, login);
    if (!proof.sound()) throw new Refused(proof.faults());
    CounterSale sale = (CounterSale) proof.reading().paper().orElseThrow();
    long card =
        sale.tenders().stream()
            .filter(t -> t.kind() == Tender.Kind.CARD)
            .mapToLong(Tender::amount)
            .sum();
    String payment = card == 0 ? "" : charge(String.valueOf(draft), card);
    long id;
    try {
      id = posting.post(draft, login);
    } catch (RuntimeException refused) {
      if (card != 0) cards.giveBack(payment);
      throw refused;
    }
    String change = sale.change() == 0 ? "" : say.money(sale.change());
    PostedPaper posted = papers.find(id).orElseThrow();
    printer.print(receipts.of(posted, change));
    return new Done(id, change);
  }

  private String charge(String sale, long minor) {
    try {
      return cards.charge(sale, minor);
    } catch (CardReader.Declined declined) {
      throw new Refused(List.of(new Fault("card", declined.getMessage())));
    }
  }
}
