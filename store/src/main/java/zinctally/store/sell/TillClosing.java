package zinctally.store.sell;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.Retrying;
import zinctally.store.book.BookStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Closes a till and books what was counted more or less, both or neither. */
@Service
public class TillClosing {
  private final TillStore tills;
  private final DraftStore drafts;
  private final Posting posting;
  private final BookStore books;
  private final Retrying retrying;

  TillClosing(
      TillStore tills, DraftStore drafts, Posting posting, BookStore books, Retrying retrying) {
    this.retrying = retrying;
    this.tills = tills;
    this.drafts = drafts;
    this.posting = posting;
    this.books = books;
  }

  /**
   * Closes a till on today's date. Sales that go through it at the same moment wait, and find it
   * closed.
   *
   * @param counted minor units of cash
   * @return minor units counted more than there should be; below zero when some is missing
   * @throws zinctally.store.Refused when the difference cannot be booked today; the till stays open
   * @throws IllegalStateException when it is closed already
   */
  public long close(long till, long counted, String login) {
    return retrying.run(() -> closed(till, counted, login));
  }

  /** The difference still goes through the till: then what went through it is what was counted. */
  private long closed(long till, long counted, String login) {
    TillStore.Till open = tills.hold(till);
    long gap = counted - open.expected();
    if (gap != 0)
      tills.difference(till, posting.post(drafts.begin(difference(open, gap), login), login));
    tills.closed(till, open.expected(), counted, login);
    return gap;
  }

  /**
   * Puts money into a till or takes some out, as for the bank: a paper of its own.
   *
   * @param amount minor units put in; below zero for those taken out
   * @param account label, code or name of the account that gives or takes it
   * @return the paper's id
   * @throws zinctally.store.Refused when it cannot be booked
   */
  public long move(TillStore.Till till, long amount, String account, String words, String login) {
    return posting.post(drafts.begin(journal(till, amount, account, words), login), login);
  }

  private Draft difference(TillStore.Till till, long gap) {
    String memo = "Till at " + till.place() + ", opened " + till.openedAt().toLocalDate();
    return journal(till, gap, tills.account("GAP"), memo);
  }

  private Draft journal(TillStore.Till till, long amount, String account, String memo) {
    String plain = books.book().coin().plain(Math.abs(amount));
    return new Draft(
        PaperKind.JOURNAL,
        Map.of("date", posting.today().toString(), "till", till.place()),
        List.of(
            Map.of(
                "account",
                tills.account("CASH"),
                amount > 0 ? "debit" : "credit",
                plain,
                "memo",
                memo),
            Map.of("account", account, amount > 0 ? "credit" : "debit", plain, "memo", memo)));
  }
}
