package zinctally.store.posting;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntConsumer;
import java.util.function.LongConsumer;
import java.util.function.ToLongFunction;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import zinctally.core.cost.CannotCost;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Role;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.DraftReader;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Reading;
import zinctally.core.papers.opening.OpeningStockReader;
import zinctally.core.papers.opening.Sheet;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.trade.Trade;
import zinctally.core.proof.Proof;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.Retrying;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.SavedDraft;

/**
 * Proves, posts, amends and voids papers. Each is one transaction: paper, quantities, cost entries,
 * journal, totals and audit line, all or nothing; item pools are locked in the order of their ids.
 */
@Service
public class Posting {
  private static final LongConsumer NOTHING_MORE = paper -> {};
  private final Catalogues catalogues;
  private final DraftStore drafts;
  private final Worker worker;
  private final Undoing undoing;
  private final InTheWay inTheWay;
  private final Shortages shortages;
  private final Newcomers newcomers;
  private final PaperRows rows;
  private final PaperWriter writer;
  private final Dues dues;
  private final Awaiting awaiting;
  private final List<Follower> followers;
  private final Orders orders;
  private final Tills tills;
  private final Progress progress;
  private final Audit audit;
  private final PaperText texts;
  private final JdbcClient sql;
  private final Holding holding;
  private final Retrying retrying;
  private final Clock clock;

  Posting(
      Catalogues catalogues,
      DraftStore drafts,
      Worker worker,
      Undoing undoing,
      InTheWay inTheWay,
      Shortages shortages,
      Newcomers newcomers,
      PaperRows rows,
      PaperWriter writer,
      Dues dues,
      Awaiting awaiting,
      List<Follower> followers,
      Orders orders,
      Tills tills,
      Progress progress,
      Audit audit,
      PaperText texts,
      JdbcClient sql,
      Holding holding,
      Retrying retrying,
      Clock clock) {
    this.catalogues = catalogues;
    this.drafts = drafts;
    this.worker = worker;
    this.undoing = undoing;
    this.inTheWay = inTheWay;
    this.shortages = shortages;
    this.newcomers = newcomers;
    this.rows = rows;
    this.writer = writer;
    this.dues = dues;
    this.awaiting = awaiting;
    this.followers = followers;
    this.orders = orders;
    this.tills = tills;
    this.progress = progress;
    this.audit = audit;
    this.texts = texts;
    this.sql = sql;
    this.holding = holding;
    this.retrying = retrying;
    this.clock = clock;
  }

  /**
   * What the draft would do now; writes nothing.
   *
   * @param amends the posted paper it is a new version of; zero for none
   * @param login who would post it, for what not everyone may do
   */
  public Proof prove(Draft draft, long amends, String login) {
    return prove(draft, catalogues.amending(amends), login);
  }

  /** The same, read with a catalogue that is open already. */
  public Proof prove(Draft draft, BookCatalogue book, String login) {
    long amends = book.amends();
    Reading reading = read(draft, book);
    if (reading.paper().isEmpty())
      return new Proof(reading, withShort(reading, book, login), Optional.empty());
    Paper paper = reading.paper().get();
    Plan plan = paper.plan(book);
    Optional<PaperRows.Posted> before = amends == 0 ? Optional.empty() : rows.head(amends, false);
    Attempt attempt =
        attempt(job(paper, plan, before, Long.MAX_VALUE, book, login), before, book, null);
    if (attempt.worked.isPresent())
      try {
        tills.of(draft, paper, login, attempt.worked.get().work(), false);
      } catch (Refused noTill) {
        return new Proof(reading, noTill.faults(), Optional.empty());
      }
    return new Proof(reading, attempt.faults, attempt.worked.map(Worked::work));
  }

  /** What is wrong with a draft; what the counter is short of is said before it is paid. */
  private List<Fault> withShort(Reading reading, BookCatalogue book, String login) {
    List<Fault> faults = new ArrayList<>(reading.faults());
    if (reading.unpaid().isPresent() && book.amends() == 0 && !book.mayGoShort(login)) {
      Trade sale = reading.unpaid().get();
      faults.addAll(
          0,
          shortages.of(job(sale, sale.plan(book), Optional.empty(), Long.MAX_VALUE, book, login)));
    }
    return faults;
  }

  /** What voiding a paper on a day would do; writes nothing. */
  public Proof proveVoid(long paper, LocalDate on, String login) {
    BookCatalogue book = catalogues.open();
    PaperRows.Posted head = rows.head(paper, false).orElseThrow();
    List<Fault> faults = inTheWay.ofVoiding(head, on, book.rules());
    if (!faults.isEmpty()) return new Proof(Reading.NOTHING, faults, Optional.empty());
    Attempt attempt = attempt(voiding(head, on, book, login), Optional.empty(), book, null);
    return new Proof(Reading.NOTHING, attempt.faults, attempt.worked.map(Worked::work));
  }

  private static Reading read(Draft draft, BookCatalogue book) {
    named(draft, book);
    return Figures.in(
        draft.form(),
        () ->
            draft.kind() == PaperKind.OPENING_STOCK
                ? new OpeningStockReader(book, book::newItem).read(draft)
                : new DraftReader(book).read(draft));
  }

  /** Fetches the items a draft names, and says which they are. */
  private static Set<Long> named(Draft draft, BookCatalogue book) {
    boolean sheet = draft.kind() == PaperKind.OPENING_STOCK;
    int code = sheet ? List.of(draft.field("columns").split(",", -1)).indexOf("code") : 0;
    if (code < 0) return Set.of();
    String column = sheet ? Sheet.cell(code) : "item";
    List<String> typed = draft.rows().stream().map(r -> r.getOrDefault(column, "")).toList();
    book.fetch(typed, sheet);
    Set<Long> items = new TreeSet<>();
    for (String cell : typed) book.item(cell).ifPresent(item -> items.add(item.id()));
    book.item(draft.field("item")).ifPresent(item -> items.add(item.id()));
    return items;
  }

  private Worker.Job job(
      Paper paper,
      Plan plan,
      Optional<PaperRows.Posted> before,
      long sequence,
      BookCatalogue book,
      String login) {
    Undo undo =
        before.map(b -> undoing.of(b.id(), book.rules().firstOpenDay())).orElse(Undo.NOTHING);
    Map<Long, Item> items = new HashMap<>();
    paper.items().forEach(item -> items.put(item.id(), item));
    return new Worker.Job(
        plan,
        paper.date(),
        before.map(PaperRows.Posted::sequence).orElse(sequence),
        undo,
        withOld(items, undo, book),
        book.rules().firstOpenDay(),
        book.stockAccounts(),
        book.mayGoShort(login));
  }

  private Worker.Job voiding(
      PaperRows.Posted head, LocalDate on, BookCatalogue book, String login) {
    Undo undo = undoing.of(head.id(), on);
    return new Worker.Job(
        Plan.NOTHING,
        on,
        head.sequence(),
        undo,
        withOld(new HashMap<>(), undo, book),
        book.rules().firstOpenDay(),
        book.stockAccounts(),
        book.mayGoShort(login));
  }

  private static Map<Long, Item> withOld(Map<Long, Item> items, Undo undo, BookCatalogue book) {
    List<Long> old =
        undo.events().stream()
            .map(Undo.Old::item)
            .filter(id -> !items.containsKey(id))
            .distinct()
            .toList();
    items.putAll(book.items(old));
    return items;
  }

  private record Attempt(Optional<Worked> worked, List<Fault> faults) {
    static Attempt failed(List<Fault> faults) {
      return new Attempt(Optional.empty(), faults);
    }
  }

  /**
   * @param held ids of the items that are held, for a posting; null for a proof
   */
  private Attempt attempt(
      Worker.Job job, Optional<PaperRows.Posted> amends, BookCatalogue book, Set<Long> held) {
    if (amends.isPresent()) {
      List<Fault> faults = inTheWay.ofAmending(amends.get(), job.plan(), book.rules());
      if (!faults.isEmpty()) return Attempt.failed(faults);
    }
    try {
      Worked worked = worker.work(job, held);
      List<Fault> faults = new ArrayList<>(inTheWay.ofEvents(job.undo(), worked.kept()));
      if (!job.mayGoShort()) faults.addAll(shortages.of(job));
      for (long item : worked.right())
        faults.add(
            Fault.whole(
                job.items().get(item).name()
                    + " is booked at what its papers give; there is nothing to put right."));
      return faults.isEmpty()
          ? new Attempt(Optional.of(worked), List.of())
          : Attempt.failed(faults);
    } catch (CannotCost refused) {
      List<Fault> byPlace = job.mayGoShort() ? List.of() : shortages.of(job);
      if (!byPlace.isEmpty()) return Attempt.failed(byPlace);
      return Attempt.failed(
          List.of(shortages.sentence(refused, itemOf(refused, job), book.rules().coin())));
    } catch (ArithmeticException tooLarge) {
      return Attempt.failed(
          List.of(
              Fault.whole("With this paper an amount would be larger than the book can hold.")));
    }
  }

  private Item itemOf(CannotCost refused, Worker.Job job) {
    return sql.sql("select item_id from cost_event where id = ?")
        .param(refused.event().id())
        .query(Long.class)
        .optional()
        .map(job.items()::get)
        .orElseGet(
            () ->
                job.plan().events().stream()
                    .filter(e -> e.line() == refused.event().at().line())
                    .map(e -> job.items().get(e.item()))
                    .findFirst()
                    .orElseThrow());
  }

  /**
   * Posts a draft as it stands. Posting it again gives the same paper and changes nothing.
   *
   * @return the paper's id
   * @throws Refused when something stands in the way; nothing has changed
   */
  public long post(long draft, String login) {
    return holding(items -> postOnce(draft, login, Optional.empty(), items, NOTHING_MORE));
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
    return holding(items -> postOnce(draft, login, Optional.of(seen), items, more));
  }

  /**
   * Voids a posted paper: what it did is taken back on {@code on}, or later where it was done
   * later.
   *
   * @param why a few words, may be empty
   * @throws Refused when something stands in the way; nothing has changed
   */
  public void voidPaper(long paper, LocalDate on, String why, String login) {
    holding(items -> voidOnce(paper, on, why, login, items));
  }

  /** In a transaction of its own, anew whenever more turns out to be touched than was held. */
  private long holding(ToLongFunction<Set<Long>> work) {
    Set<Long> items = new TreeSet<>();
    while (true)
      try {
        return retrying.run(() -> work.applyAsLong(items));
      } catch (Holding.LookAgain more) {
        if (!items.addAll(more.items())) throw more;
      }
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
    BookCatalogue book =
        catalogues.held(saved.amends(), saved.draft().kind().is(PaperKind.Trait.CHANGES_ITEMS));
    Set<Long> items = new TreeSet<>(named(saved.draft(), book));
    items.addAll(touched);
    Set<Long> held = holding.ofPosting(saved.draft(), saved.amends(), items, book);
    Reading reading = read(saved.draft(), book);
    reached.accept(5);
    if (reading.paper().isEmpty()) throw new Refused(reading.faults());
    Paper paper = newcomers.make(reading.paper().get(), book);
    held.addAll(madeWith(paper, reading.paper().get()));
    long sequence =
        before.isPresent()
            ? 0
            : sql.sql("select next value for paper_sequence").query(Long.class).single();
    Plan plan = newcomers.lots(paper.plan(book));
    reached.accept(20);
    Worker.Job job = job(paper, plan, before, sequence, book, login);
    Attempt attempt = attempt(job, before, book, held);
    reached.accept(30);
    Worked worked = attempt.worked.orElseThrow(() -> new Refused(attempt.faults));
    LocalDateTime now = LocalDateTime.now(clock);
    long stock = worked.fresh().stream().mapToLong(f -> f.entry().value()).sum();
    int version = before.map(b -> b.version() + 1).orElse(1);
    Optional<Long> till = tills.of(saved.draft(), paper, login, worked.work(), true);
    String number = before.map(PaperRows.Posted::number).orElseGet(() -> rows.number(paper));
    long paperId =
        before
            .map(PaperRows.Posted::id)
            .orElseGet(() -> rows.add(paper, number, sequence, stock, now, login, till));
    if (before.isPresent()) rows.amend(paperId, version, paper, stock);
    String what = before.isPresent() ? "amended" : "posted";
    texts.write(paperId, version, saved.draft(), what, now, login);
    rows.lines(paper, paperId, version);
    reached.accept(40);
    write(worked, job, paperId, version, till, reached);
    Plan costed =
        plan.costing(line -> worked.costOf(line, book.account(Role.SENT_NOT_INVOICED).id()));
    if (before.isPresent()) {
      dues.rewrite(costed, job.undo(), paperId, number, paper.date());
      awaiting.rewrite(costed, job.undo(), paperId, paper.date());
    } else {
      dues.write(costed, paperId, number, paper.date());
      awaiting.write(costed, paperId);
    }
    awaiting.recost(worked.sent(), paperId);
    Follower.Posted posted = new Follower.Posted(paper, paperId, before.isPresent(), now, login);
    following(paper.kind()).forEach(f -> f.posted(posted));
    drafts.posted(id, paperId);
    more.accept(paperId);
    audit.write(login, "paper", paperId, what + " " + number, "version " + version);
    reached.accept(100);
    return paperId;
  }

  private Stream<Follower> following(PaperKind kind) {
    return followers.stream().filter(f -> f.follows(kind));
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

  private void write(
      Worked worked,
      Worker.Job job,
      long paper,
      int version,
      Optional<Long> till,
      IntConsumer reached) {
    Proof.Work work = worked.work();
    PaperWriter.Of back = new PaperWriter.Of(paper, version, true, till);
    Map<LocalDate, Long> reversals = writer.journals(work.reversals(), back, job.stockAccounts());
    PaperWriter.Of of = new PaperWriter.Of(paper, version, false, till);
    Map<LocalDate, Long> journals = writer.journals(work.journals(), of, job.stockAccounts());
    reached.accept(55);
    writer.stock(worked, job, paper, journals, reversals, reached);
  }

  private long voidOnce(long id, LocalDate on, String why, String login, Set<Long> touched) {
    PaperRows.Posted head = rows.head(id, true).orElseThrow();
    BookCatalogue book = catalogues.held(0, head.kind().is(PaperKind.Trait.CHANGES_ITEMS));
    Set<Long> held = holding.ofPosted(id, touched, book);
    List<Fault> faults = inTheWay.ofVoiding(head, on, book.rules());
    if (!faults.isEmpty()) throw new Refused(faults);
    Worker.Job job = voiding(head, on, book, login);
    Attempt attempt = attempt(job, Optional.empty(), book, held);
    Worked worked = attempt.worked.orElseThrow(() -> new Refused(attempt.faults));
    LocalDateTime now = LocalDateTime.now(clock);
    Optional<Long> till = tills.ofVoiding(id, login, worked.work());
    write(worked, job, id, head.version(), till, percent -> {});
    dues.rewrite(Plan.NOTHING, job.undo(), id, head.number(), on);
    awaiting.rewrite(Plan.NOTHING, job.undo(), id, on);
    awaiting.recost(worked.sent(), id);
    rows.setVoid(id);
    following(head.kind()).forEach(f -> f.voided(id));
    String what = "voided " + head.number();
    audit.write(login, "paper", id, what, "on " + on + (why.isBlank() ? "" : ": " + why));
    return id;
  }

  /**
   * Ends an order: the rest of it will not come.
   *
   * @throws Refused when nothing of it is still to come
   */
  public void endOrder(long order, String login) {
    holding(
        items -> {
          PaperRows.Posted head = rows.head(order, true).orElseThrow();
          holding.ofPosted(order, items, catalogues.held(0, false));
          orders.end(head, LocalDate.now(clock), LocalDateTime.now(clock), login);
          audit.write(login, "paper", order, "cancelled the rest of " + head.number(), "");
          return order;
        });
  }

  /**
   * Approves an order, so that its goods may come.
   *
   * @throws Refused when that is not for this person to do
   */
  public void approveOrder(long order, String login) {
    holding(
        items -> {
          PaperRows.Posted head = rows.head(order, true).orElseThrow();
          orders.approve(head, LocalDateTime.now(clock), login);
          audit.write(login, "paper", order, "approved " + head.number(), "");
          return order;
        });
  }

  /** The day a new paper bears when nothing else is said. */
  public LocalDate today() {
    return LocalDate.now(clock);
  }
}
