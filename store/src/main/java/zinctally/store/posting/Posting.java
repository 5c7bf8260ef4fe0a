package zinctally.store.posting;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntConsumer;
import java.util.function.LongConsumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Reading;
import zinctally.core.papers.plan.Plan;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.SavedDraft;

/**
 * Posts and amends papers. Each is one transaction: paper, quantities, cost entries, journal,
 * totals and audit line, all or nothing; item pools are locked in the order of their ids.
 */
@Service
public class Posting {
  private static final LongConsumer NOTHING_MORE = paper -> {};
  private final Catalogues catalogues;
  private final DraftStore drafts;
  private final Trying trying;
  private final Newcomers newcomers;
  private final PaperRows rows;
  private final PostingRows postings;
  private final PaperText texts;
  private final Entries entries;
  private final Following following;
  private final Tills tills;
  private final Progress progress;
  private final Audit audit;
  private final JdbcClient sql;
  private final Holding holding;
  private final Allowances allowances;
  private final Clock clock;

  Posting(
      Catalogues catalogues,
      DraftStore drafts,
      Trying trying,
      Newcomers newcomers,
      PaperRows rows,
      PostingRows postings,
      PaperText texts,
      Entries entries,
      Following following,
      Tills tills,
      Progress progress,
      Audit audit,
      JdbcClient sql,
      Holding holding,
      Allowances allowances,
      Clock clock) {
    this.catalogues = catalogues;
    this.drafts = drafts;
    this.trying = trying;
    this.newcomers = newcomers;
    this.rows = rows;
    this.postings = postings;
    this.texts = texts;
    this.entries = entries;
    this.following = following;
    this.tills = tills;
    this.progress = progress;
    this.audit = audit;
    this.sql = sql;
    this.holding = holding;
    this.allowances = allowances;
    this.clock = clock;
  }

  /**
   * Posts a draft as it stands. Posting it again gives the same paper and changes nothing.
   *
   * @return the paper's id
   * @throws Refused when something stands in the way; nothing has changed
   */
  public long post(long draft, String login) {
    return holding.work(items -> postOnce(draft, login, Optional.empty(), items, NOTHING_MORE));
  }

  /**
   * Posts what a window has of a draft, and nothing else.
   *
   * @return the paper's id
   * @throws Refused when another window has saved or posted something else meanwhile, or something
   *     stands in the way; nothing has changed
   */
  public long post(long draft, SavedDraft.Seen seen, String login) {
    return post(draft, seen, login, NOTHING_MORE);
  }

  /**
   * The same together with something else.
   *
   * @param more what is written in the same transaction; is given the paper's id
   */
  public long post(long draft, SavedDraft.Seen seen, String login, LongConsumer more) {
    return holding.work(items -> postOnce(draft, login, Optional.of(seen), items, more));
  }

  private long postOnce(
      long id, String login, Optional<SavedDraft.Seen> seen, Set<Long> touched, LongConsumer more) {
    SavedDraft saved =
        drafts
            .lock(id)
            .orElseThrow(() -> new Refused(List.of(Fault.whole("This draft is no longer there."))));
    if (seen.isPresent() && !saved.isSeen(seen.get()))
      throw new Refused(
          List.of(
              Fault.whole(
                  saved.savedBy()
                      + (saved.posted() ? " has posted" : " has changed")
                      + " this draft in another window meanwhile; what stands here is not in"
                      + " it.")));
    if (saved.posted()) return saved.paper();
    IntConsumer reached = progress.begin(id, saved.draft().rows().size());
    reached.accept(1);
    Optional<PaperRows.Posted> before = amended(saved);
    BookCatalogue book = catalogues.held(saved.amends(), saved.draft().kind().alone());
    Set<Long> items = new TreeSet<>(Typing.named(saved.draft(), book));
    items.addAll(touched);
    Set<Long> held = holding.ofPosting(saved.draft(), saved.amends(), items, book);
    Reading reading = Typing.read(saved.draft(), book);
    reached.accept(5);
    if (reading.paper().isEmpty()) throw new Refused(reading.faults());
    List<Fault> beyond = allowances.beyond(reading.paper().get(), before.isPresent(), login, book);
    if (!beyond.isEmpty()) throw new Refused(beyond);
    Paper paper = newcomers.make(reading.paper().get());
    held.addAll(madeWith(paper, reading.paper().get()));
    long sequence =
        before.isPresent()
            ? 0
            : sql.sql("select next value for paper_sequence").query(Long.class).single();
    Plan plan = newcomers.lots(paper.plan(book).borneBy(reading.centres()));
    reached.accept(20);
    Worker.Job job = trying.job(paper, plan, before, sequence, book, login);
    Worked worked = trying.attempt(job, before, book, held).orRefused();
    reached.accept(30);
    LocalDateTime now = LocalDateTime.now(clock);
    long stock = worked.fresh().stream().mapToLong(f -> f.entry().value()).sum();
    int version = before.map(b -> b.version() + 1).orElse(1);
    Optional<Long> till = tills.of(saved.draft(), paper, login, worked.work(), book, true);
    long paperId =
        before
            .map(PaperRows.Posted::id)
            .orElseGet(() -> rows.add(paper, sequence, stock, now, login, till));
    if (before.isPresent()) rows.amend(paperId, version, paper, stock);
    String what = before.isPresent() ? "amended" : "posted";
    texts.write(paperId, version, saved.draft(), what, now, login);
    long posting = postings.begin(paperId, version, what, now, login);
    rows.lines(paper, paperId, version, reading.centres());
    reached.accept(40);
    entries.write(
        worked,
        job,
        new Entries.Of(paperId, version, till, now, posting),
        new TaxWriter.Said(paper.kind(), paper.taxed(), paper.date(), book),
        reached);
    // numbers run without gaps: whoever takes one, all others wait for until the posting ends
    String number =
        before.map(PaperRows.Posted::number).orElseGet(() -> rows.number(paper, paperId));
    Plan costed =
        plan.costing(line -> worked.costOf(line, book.account(Role.SENT_NOT_INVOICED).id()));
    entries.duesAndAwaited(
        costed,
        worked,
        job.undo(),
        new Entries.Posted(paperId, number, paper.date()),
        before.isPresent());
    following.posted(new Follower.Posted(paper, paperId, before.isPresent(), now, login));
    drafts.posted(id, paperId);
    more.accept(paperId);
    audit.write(login, "paper", paperId, what + " " + number, "version " + version);
    reached.accept(100);
    return paperId;
  }

  /** Items that were made with the paper; nobody else knows of them yet. */
  private static Set<Long> madeWith(Paper paper, Paper read) {
    Set<Long> made = new TreeSet<>();
    paper.items().forEach(item -> made.add(item.id()));
    read.items().forEach(item -> made.remove(item.id()));
    return made;
  }

  private Optional<PaperRows.Posted> amended(SavedDraft saved) {
    if (saved.amends() == 0) return Optional.empty();
    PaperRows.Posted head = rows.head(saved.amends(), true).orElseThrow();
    if (head.version() != saved.amendsVersion())
      throw new Refused(
          List.of(
              Fault.whole(
                  head.number()
                      + " has had another version since this one was begun; look at that and amend it anew.")));
    return Optional.of(head);
  }

  /** The day a new paper bears when nothing else is said. */
  public LocalDate today() {
    return LocalDate.now(clock);
  }
}
