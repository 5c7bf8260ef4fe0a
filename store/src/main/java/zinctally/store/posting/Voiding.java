package zinctally.store.posting;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import zinctally.core.papers.Fault;
import zinctally.core.papers.plan.Plan;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;

/** Voids posted papers, each in one transaction. */
@Service
public class Voiding {
  private final Catalogues catalogues;
  private final Trying trying;
  private final InTheWay inTheWay;
  private final PaperRows rows;
  private final PostingRows postings;
  private final Entries entries;
  private final Following following;
  private final Tills tills;
  private final Audit audit;
  private final Holding holding;
  private final Allowances allowances;
  private final Clock clock;

  Voiding(
      Catalogues catalogues,
      Trying trying,
      InTheWay inTheWay,
      PaperRows rows,
      PostingRows postings,
      Entries entries,
      Following following,
      Tills tills,
      Audit audit,
      Holding holding,
      Allowances allowances,
      Clock clock) {
    this.catalogues = catalogues;
    this.trying = trying;
    this.inTheWay = inTheWay;
    this.rows = rows;
    this.postings = postings;
    this.entries = entries;
    this.following = following;
    this.tills = tills;
    this.audit = audit;
    this.holding = holding;
    this.allowances = allowances;
    this.clock = clock;
  }

  /**
   * Voids a posted paper: what it did is taken back on {@code on}, or later where it was done
   * later.
   *
   * @param why a few words, may be empty
   * @throws Refused when something stands in the way; nothing has changed
   */
  public void voidPaper(long paper, LocalDate on, String why, String login) {
    holding.work(items -> voidOnce(paper, on, why, login, items));
  }

  private long voidOnce(long id, LocalDate on, String why, String login, Set<Long> touched) {
    List<Fault> not = allowances.changing(login);
    if (!not.isEmpty()) throw new Refused(not);
    PaperRows.Posted head = rows.head(id, true).orElseThrow();
    BookCatalogue book = catalogues.held(0, head.kind().alone());
    Set<Long> held = holding.ofPosted(id, touched, book);
    List<Fault> faults = inTheWay.ofVoiding(head, on, book.rules());
    if (!faults.isEmpty()) throw new Refused(faults);
    Worker.Job job = trying.voiding(head, on, book, login);
    Worked worked = trying.attempt(job, Optional.empty(), book, held).orRefused();
    Optional<Long> till = tills.ofVoiding(id, login, worked.work(), book);
    LocalDateTime now = LocalDateTime.now(clock);
    long posting = postings.begin(id, head.version(), "voided", now, login);
    Entries.Of of = new Entries.Of(id, head.version(), till, now, posting);
    TaxWriter.Said tax = new TaxWriter.Said(head.kind(), List.of(), on, book);
    entries.write(worked, job, of, tax, percent -> {});
    entries.duesAndAwaited(
        Plan.NOTHING, worked, job.undo(), new Entries.Posted(id, head.number(), on), true);
    rows.setVoid(id);
    following.voided(head.kind(), id);
    String what = "voided " + head.number();
    audit.write(login, "paper", id, what, "on " + on + (why.isBlank() ? "" : ": " + why));
    return id;
  }
}
