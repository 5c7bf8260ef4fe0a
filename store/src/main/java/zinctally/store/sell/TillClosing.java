package zinctally.store.sell;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
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

  TillClosing(TillStore tills, DraftStore drafts, Posting posting, BookStore books) {
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
   * @throws zinctally.store.posting.Refused when the difference cannot be booked today; the till
   *     stays open
   * @throws IllegalStateException when it is closed already
   */
  @Transactional
  public long close(long till, long counted, String login) {
    TillStore.Till open = tills.hold(till);
    long gap = counted - open.expected();
    tills.closed(till, open.expected(), counted, login);
    if (gap != 0)
      tills.difference(till, posting.post(drafts.begin(difference(open, gap), login), login));
    return gap;
  }

  private Draft difference(TillStore.Till till, long gap) {
    Coin coin = books.book().coin();
    String amount = coin.plain(Math.abs(gap));
    String memo = "Till at " + till.place() + ", opened " + till.openedAt().toLocalDate();
    return new Draft(
        PaperKind.JOURNAL,
        Map.of("date", posting.today().toString()),
        List.of(
            Map.of(
                "account",
                tills.account("CASH"),
                gap > 0 ? "debit" : "credit",
                amount,
                "memo",
                memo),
            Map.of(
                "account",
                tills.account("GAP"),
                gap > 0 ? "credit" : "debit",
                amount,
                "memo",
                memo)));
  }
}
