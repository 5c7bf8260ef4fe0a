package zinctally.store.posting;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntConsumer;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.core.cost.CannotCost;
import zinctally.core.goods.Item;
import zinctally.core.opening.OpeningStockReader;
import zinctally.core.opening.Sheet;
import zinctally.core.papers.Adjustment;
import zinctally.core.papers.Draft;
import zinctally.core.papers.DraftReader;
import zinctally.core.papers.Fault;
import zinctally.core.papers.OpeningStock;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Plan;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Trade;
import zinctally.core.papers.TradeLine;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.SavedDraft;

/**
 * Proves and posts papers. A posting is one transaction: paper, quantities, cost entries, journal,
 * totals and audit line, all or nothing; item pools are locked in the order of their ids.
 */
@Service
public class Posting {
  private static final int TRIES = 8;
  private final Catalogues catalogues;
  private final DraftStore drafts;
  private final Worker worker;
  private final Shortages shortages;
  private final Newcomers newcomers;
  private final PaperWriter writer;
  private final Progress progress;
  private final PaperText texts;
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;
  private final TransactionTemplate transaction;
  private final Clock clock;

  Posting(
      Catalogues catalogues,
      DraftStore drafts,
      Worker worker,
      Shortages shortages,
      Newcomers newcomers,
      PaperWriter writer,
      Progress progress,
      PaperText texts,
      JdbcClient sql,
      JdbcTemplate jdbc,
      TransactionTemplate transaction,
      Clock clock) {
    this.catalogues = catalogues;
    this.drafts = drafts;
    this.worker = worker;
    this.shortages = shortages;
    this.newcomers = newcomers;
    this.writer = writer;
    this.progress = progress;
    this.texts = texts;
    this.sql = sql;
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** What the draft would do now; writes nothing. */
  public Proof prove(Draft draft) {
    BookCatalogue book = catalogues.open();
    Reading reading = read(draft, book);
    if (reading.paper().isEmpty()) return new Proof(reading, reading.faults(), Optional.empty());
    Paper paper = reading.paper().get();
    Attempt attempt = attempt(paper, paper.plan(book), book, Long.MAX_VALUE, false);
    return new Proof(reading, attempt.faults, attempt.worked.map(Worked::work));
  }

  private static Reading read(Draft draft, BookCatalogue book) {
    if (draft.kind() != PaperKind.OPENING_STOCK) return new DraftReader(book).read(draft);
    int code = List.of(draft.field("columns").split(",", -1)).indexOf("code");
    if (code >= 0)
      book.fetch(draft.rows().stream().map(r -> r.getOrDefault(Sheet.cell(code), "")).toList());
    return new OpeningStockReader(book, book::newItem).read(draft);
  }

  private record Attempt(Optional<Worked> worked, List<Fault> faults, Map<Long, Item> items) {}

  private Attempt attempt(Paper paper, Plan plan, BookCatalogue book, long sequence, boolean lock) {
    Map<Long, Item> items = items(paper);
    try {
      Worked worked = worker.work(plan, paper.date(), sequence, items, book.rules(), lock);
      List<Fault> faults = shortages.of(plan, paper.date(), items);
      return new Attempt(faults.isEmpty() ? Optional.of(worked) : Optional.empty(), faults, items);
    } catch (CannotCost refused) {
      List<Fault> byPlace = shortages.of(plan, paper.date(), items);
      if (!byPlace.isEmpty()) return new Attempt(Optional.empty(), byPlace, items);
      Item item = itemOf(refused, plan, items);
      return new Attempt(Optional.empty(), List.of(shortages.sentence(refused, item)), items);
    } catch (ArithmeticException tooLarge) {
      Fault fault =
          Fault.whole("With this paper an amount would be larger than the book can hold.");
      return new Attempt(Optional.empty(), List.of(fault), items);
    }
  }

  private Item itemOf(CannotCost refused, Plan plan, Map<Long, Item> items) {
    return sql.sql("select item_id from cost_event where id = ?")
        .param(refused.event().id())
        .query(Long.class)
        .optional()
        .map(items::get)
        .orElseGet(
            () ->
                plan.events().stream()
                    .filter(e -> e.line() == refused.event().at().line())
                    .map(e -> items.get(e.item()))
                    .findFirst()
                    .orElseThrow());
  }

  private static Map<Long, Item> items(Paper paper) {
    Map<Long, Item> items = new HashMap<>();
    if (paper instanceof Trade trade) {
      for (TradeLine line : trade.lines())
        if (line.item() != null) items.put(line.item().id(), line.item());
    } else if (paper instanceof Adjustment adjustment) {
      adjustment.lines().forEach(l -> items.put(l.item().id(), l.item()));
    } else if (paper instanceof OpeningStock opening) {
      opening.lines().forEach(l -> items.put(l.item().id(), l.item()));
    }
    return items;
  }

  /**
   * Posts a draft. Posting it again gives the same paper and changes nothing.
   *
   * @return the paper's id
   * @throws Refused when something stands in the way; nothing has changed
   */
  public long post(long draft, String login) {
    for (int tried = 1; ; tried++) {
      try {
        return transaction.execute(status -> postOnce(draft, login));
      } catch (PessimisticLockingFailureException collided) {
        if (tried == TRIES) throw collided;
        LockSupport.parkNanos(ThreadLocalRandom.current().nextLong(tried * 10_000_000L));
      }
    }
  }

  private long postOnce(long id, String login) {
    SavedDraft saved =
        drafts
            .lock(id)
            .orElseThrow(() -> new Refused(List.of(Fault.whole("This draft is no longer there."))));
    if (saved.posted()) return saved.paper();
    IntConsumer reached = progress.begin(id, saved.draft().rows().size());
    reached.accept(1);
    BookCatalogue book = catalogues.open();
    Reading reading = read(saved.draft(), book);
    reached.accept(5);
    if (reading.paper().isEmpty()) throw new Refused(reading.faults());
    Paper paper = newcomers.make(reading.paper().get(), book);
    long sequence = sql.sql("select next value for paper_sequence").query(Long.class).single();
    Plan plan = paper.plan(book);
    reached.accept(20);
    Attempt attempt = attempt(paper, plan, book, sequence, true);
    reached.accept(30);
    Worked worked = attempt.worked.orElseThrow(() -> new Refused(attempt.faults));
    String number = number(paper);
    LocalDateTime now = LocalDateTime.now(clock);
    long paperId = head(paper, number, sequence, worked, now, login);
    texts.write(paperId, 1, saved.draft(), now, login);
    lines(paper, paperId);
    reached.accept(40);
    Map<LocalDate, Long> journals = writer.journals(worked.work().journals(), paperId, 1);
    reached.accept(55);
    writer.stock(worked, plan, paperId, paper.date(), attempt.items, journals, reached);
    writer.dues(plan, paperId, number, paper.date());
    drafts.posted(id, paperId);
    reached.accept(100);
    sql.sql(
            "insert into audit (at, login, subject, subject_id, what, after_text)"
                + " values (?, ?, 'paper', ?, ?, ?)")
        .params(now, login, paperId, "posted " + number, "version 1")
        .update();
    return paperId;
  }

  /** Numbers run by kind and year without gaps: the row stays locked until the posting ends. */
  private String number(Paper paper) {
    int year = paper.date().getYear();
    sql.sql("insert into paper_number values (?, ?, 1) on duplicate key update last = last + 1")
        .params(paper.kind().name(), year)
        .update();
    int last =
        sql.sql("select last from paper_number where kind = ? and year = ?")
            .params(paper.kind().name(), year)
            .query(Integer.class)
            .single();
    return paper.kind().prefix() + "-" + year + "-" + String.format("%04d", last);
  }

  private long head(
      Paper paper, String number, long sequence, Worked worked, LocalDateTime now, String login) {
    Trade trade = paper instanceof Trade t ? t : null;
    long stock = worked.fresh().stream().mapToLong(Proof.StockEntry::value).sum();
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.sql(
            """
            insert into paper (kind, number, state, version, date, sequence, party_id, reference,
              due, place_id, net, tax, total, stock_value, posted_at, posted_by)
            values (?, ?, 'POSTED', 1, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            paper.kind().name(),
            number,
            paper.date(),
            sequence,
            paper.party().map(p -> p.id()).orElse(null),
            trade == null ? "" : trade.theirNumber(),
            trade == null ? null : trade.due(),
            trade == null ? null : trade.place().id(),
            trade == null ? paper.total() : trade.net(),
            trade == null ? 0 : trade.tax(),
            paper.total(),
            stock,
            now,
            login)
        .update(key, "id");
    return key.getKey().longValue();
  }

  private void lines(Paper paper, long id) {
    List<Object[]> rows = new ArrayList<>();
    if (paper instanceof Trade trade) {
      for (TradeLine l : trade.lines())
        rows.add(
            new Object[] {
              id,
              1,
              l.row(),
              l.item() == null ? null : l.item().id(),
              l.account() == null ? null : l.account().id(),
              trade.place().id(),
              l.wording(),
              l.quantity().micros(),
              l.unit(),
              l.price(),
              l.discount(),
              l.net(),
              l.tax(),
              l.rate() == null ? null : l.rate().id()
            });
    } else if (paper instanceof Adjustment adjustment) {
      for (Adjustment.Line l : adjustment.lines())
        rows.add(
            new Object[] {
              id,
              1,
              l.row(),
              l.item().id(),
              l.reason().account(),
              adjustment.place().id(),
              l.reason().name() + (l.memo().isEmpty() ? "" : ": " + l.memo()),
              l.quantity().micros(),
              l.unit(),
              null,
              java.math.BigDecimal.ZERO,
              l.value(),
              0L,
              null
            });
    } else if (paper instanceof OpeningStock opening) {
      for (OpeningStock.Line l : opening.lines())
        rows.add(
            new Object[] {
              id,
              1,
              l.row(),
              l.item().id(),
              null,
              l.place().id(),
              "",
              l.quantity().micros(),
              l.item().units().base().sign(),
              null,
              java.math.BigDecimal.ZERO,
              l.value(),
              0L,
              null
            });
    }
    jdbc.batchUpdate(
        "insert into paper_line (paper_id, version, line, item_id, account_id, place_id, wording,"
            + " quantity, unit, price, discount, net, tax, tax_rate_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
        rows);
  }

  /** The day a new paper bears when nothing else is said. */
  public LocalDate today() {
    return LocalDate.now(clock);
  }
}
