package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Across;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.PostingDate;
import zinctally.core.cost.Recost;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.papers.plan.Plan;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookCatalogue;
import zinctally.store.cost.PoolStore;
import zinctally.store.prove.BalanceStore;

/**
 * Works out what a plan will do. The proof shows it, the posting writes it: there is no second way.
 */
@Component
class Worker {
  private final PoolStore pools;
  private final Settling settling;

  private final BalanceStore balances;

  private final SentCosts sentCosts;

  private final JdbcClient sql;

  Worker(
      PoolStore pools,
      Settling settling,
      BalanceStore balances,
      SentCosts sentCosts,
      JdbcClient sql) {
    this.pools = pools;
    this.settling = settling;
    this.balances = balances;
    this.sentCosts = sentCosts;
    this.sql = sql;
  }

  /**
   * What is to be worked out.
   *
   * @param date date of the paper and of its events; of a void, the day it is voided on
   * @param sequence the paper's place among papers of its date
   * @param undo what an earlier version has done, which goes
   * @param items by id, all that plan and undo speak of
   * @param stockAccounts ids of the accounts that hold stock
   * @param mayGoShort whether outs may take more than is there
   */
  record Job(
      Plan plan,
      LocalDate date,
      long sequence,
      Undo undo,
      Map<Long, Item> items,
      LocalDate firstOpenDay,
      Set<Long> stockAccounts,
      boolean mayGoShort) {
    /** One of its items. */
    Item item(long id) {
      return Objects.requireNonNull(items.get(id));
    }

    /** The same, knowing more items. */
    Job with(Map<Long, Item> more) {
      return new Job(plan, date, sequence, undo, more, firstOpenDay, stockAccounts, mayGoShort);
    }

    /** Ids of all items whose pool or whereabouts it changes; those made with it have none yet. */
    Set<Long> touched() {
      Set<Long> touched = new TreeSet<>();
      plan.events().forEach(e -> touched.add(e.item()));
      plan.moves().forEach(m -> touched.add(m.item()));
      undo.events().forEach(e -> touched.add(e.item()));
      undo.moves().forEach(m -> touched.add(m.item()));
      touched.addAll(plan.again());
      return touched;
    }
  }

  /**
   * @param book knows the items that it reaches and the job does not name
   * @param held ids of the items that are held until the transaction ends; null for a proof
   * @throws Holding.LookAgain when it touches others
   * @throws CannotCost when an event, of this paper or a later one, cannot be where it stands
   * @throws Across.Circle when goods would be made of themselves
   * @throws ArithmeticException when an amount is too large
   */
  Worked work(Job asked, BookCatalogue book, @Nullable Set<Long> held) {
    boolean posts = held != null;
    if (held != null && !held.containsAll(asked.touched()))
      throw new Holding.LookAgain(asked.touched());
    Placing placing = Placing.of(asked, count -> count == 0 ? List.of() : ids(count, posts), pools);
    Settling.Settled settled = settling.settle(asked, placing, book, held);
    Job job = asked.with(settled.items());
    Gathering all = new Gathering();
    settled.pools().forEach((item, pool) -> item(job, placing, item, pool, all));
    all.later.sort(Comparator.comparing(l -> l.event().at()));
    SentCosts.Change sent = sentCosts.of(all.later, job);
    List<JournalEntry> journals =
        Journals.of(known(job), both(sums(all.entries, job.items), sent.lines()));
    List<JournalEntry> reversals =
        Journals.of(
            undone(job.undo, job.undo.lines()),
            both(sums(all.undone, job.items), undone(job.undo, job.undo.recognised())));
    // a posting needs no balance: what it writes does not depend on it
    Proof.Balance now = posts ? Proof.Balance.NONE : balances.now();
    Proof.Work work =
        new Proof.Work(
            all.shifts,
            all.entries,
            all.undone,
            journals,
            reversals,
            all.later,
            now,
            posts ? now : afterwards(job, now, all, journals, reversals));
    return new Worked(
        work,
        all.fresh,
        all.after,
        placing.kept(),
        placing.charges(),
        sent.rows(),
        all.right,
        job.items,
        settled.making(),
        settled.remade());
  }

  private static final class Gathering {
    private final List<Proof.Shift> shifts = new ArrayList<>();
    private final List<Proof.StockEntry> entries = new ArrayList<>();
    private final List<Proof.StockEntry> undone = new ArrayList<>();
    private final List<Worked.Fresh> fresh = new ArrayList<>();
    private final List<Proof.Later> later = new ArrayList<>();
    private final List<Worked.PoolAfter> after = new ArrayList<>();
    private final List<Long> right = new ArrayList<>();
  }

  private void item(Job job, Placing placing, long item, Settling.Pool pool, Gathering all) {
    Item goods = job.item(item);
    List<Placing.Placed> added = placing.added(item);
    Map<Long, Bearing> bearing = new HashMap<>();
    Map<Long, Long> papers = new HashMap<>();
    Map<Long, Long> lots = new HashMap<>();
    for (Placing.Placed placed : added) {
      bearing.put(placed.booked().event().id(), new Bearing(placed.contra(), placed.centre()));
      papers.put(placed.booked().event().id(), placed.paper());
      lots.put(placed.booked().event().id(), placed.lot());
    }
    Replaying.Run run = pool.run();
    bearing.putAll(bearingOf(run.recost().changes()));
    for (Recost.Change change : run.recost().changes()) {
      CostEvent event = change.event();
      LocalDate date = PostingDate.of(event.at().date(), job.date, job.firstOpenDay);
      long quantity = change.fresh() ? signed(event) : 0;
      Bearing bears = Objects.requireNonNull(bearing.get(event.id()));
      Proof.StockEntry entry =
          new Proof.StockEntry(
              event, item, date, quantity, change.difference(), bears.contra, bears.centre);
      all.entries.add(entry);
      if (change.fresh())
        all.fresh.add(
            new Worked.Fresh(
                entry,
                Objects.requireNonNull(papers.get(event.id())),
                Objects.requireNonNull(lots.get(event.id()))));
      else all.later.add(new Proof.Later(event, item, change.difference(), date));
    }
    for (Undo.Old old : placing.undone(item))
      for (Undo.Entry entry : placing.entries(old))
        all.undone.add(
            new Proof.StockEntry(
                old.event(),
                item,
                job.undo.on(entry.date()),
                -entry.quantity(),
                -entry.value(),
                old.contra(),
                old.centre()));
    PoolState before = pool.before().state();
    boolean asItWas = run.recost().changes().isEmpty() && before.equals(run.recost().end());
    if (asItWas && job.plan.again().contains(item)) all.right.add(item);
    List<Proof.Draw> draws =
        added.stream()
            .flatMap(p -> run.draws().getOrDefault(p.booked().event().id(), List.of()).stream())
            .toList();
    all.shifts.add(
        new Proof.Shift(
            goods,
            before.onHand(),
            run.recost().end().onHand(),
            before.worth(),
            run.recost().end().worth(),
            draws));
    all.after.add(run.kept());
  }

  /** A proof needs no real ids; below zero they can meet no posted event. */
  private List<Long> ids(int count, boolean real) {
    if (real) return pools.nextIds(count);
    List<Long> ids = new ArrayList<>(count);
    for (int i = 1; i <= count; i++) ids.add((long) -i);
    return ids;
  }

  private static long signed(CostEvent event) {
    return event.kind() == EventKind.OUT ? -event.quantity() : event.quantity();
  }

  /** The account and cost centre that bear what an event costs; zero for none. */
  private record Bearing(long contra, long centre) {}

  private Map<Long, Bearing> bearingOf(List<Recost.Change> changes) {
    List<Long> old = changes.stream().filter(c -> !c.fresh()).map(c -> c.event().id()).toList();
    Map<Long, Bearing> bearing = new HashMap<>();
    for (int from = 0; from < old.size(); from += 1000)
      sql.sql("select id, contra_account, centre_id from cost_event where id in (:ids)")
          .param("ids", old.subList(from, Math.min(old.size(), from + 1000)))
          .query(
              (row, n) -> bearing.put(row.getLong(1), new Bearing(row.getLong(2), row.getLong(3))))
          .list();
    return bearing;
  }

  private static List<Undo.Line> known(Job job) {
    return job.plan.lines().stream().map(l -> new Undo.Line(job.date, l)).toList();
  }

  private static List<Undo.Line> both(List<Undo.Line> some, List<Undo.Line> more) {
    return Stream.concat(some.stream(), more.stream()).toList();
  }

  private static List<Undo.Line> undone(Undo undo, List<Undo.Line> lines) {
    return lines.stream().map(l -> new Undo.Line(undo.on(l.date()), l.line().takenBack())).toList();
  }

  /** What cost entries come to in the ledger: the stock account's line and its other side's. */
  private static List<Undo.Line> sums(List<Proof.StockEntry> entries, Map<Long, Item> items) {
    List<Undo.Line> lines = new ArrayList<>(entries.size() * 2);
    for (Proof.StockEntry entry : entries) {
      Money value = new Money(entry.value());
      if (value.signum() == 0) continue;
      long stock = Objects.requireNonNull(items.get(entry.item())).stockAccount();
      LocalDate date = entry.postingDate();
      lines.add(new Undo.Line(date, new JournalLine(stock, entry.item(), 0, value, "")));
      if (entry.contra() != 0)
        lines.add(
            new Undo.Line(
                date,
                new JournalLine(entry.contra(), entry.item(), 0, value.negated(), "")
                    .in(entry.centre())));
    }
    return lines;
  }

  private static Proof.Balance afterwards(
      Job job,
      Proof.Balance now,
      Gathering all,
      List<JournalEntry> journals,
      List<JournalEntry> reversals) {
    Map<Long, Proof.Balance.OnAccount> accounts = new HashMap<>(now.accounts());
    Stream.concat(all.entries.stream(), all.undone.stream())
        .forEach(
            e ->
                accounts.merge(
                    Objects.requireNonNull(job.items.get(e.item())).stockAccount(),
                    new Proof.Balance.OnAccount(e.value(), 0),
                    Proof.Balance.OnAccount::plus));
    Stream.concat(journals.stream(), reversals.stream())
        .flatMap(j -> j.lines().stream())
        .filter(l -> job.stockAccounts.contains(l.account()))
        .forEach(
            l ->
                accounts.merge(
                    l.account(),
                    new Proof.Balance.OnAccount(0, l.amount().minor()),
                    Proof.Balance.OnAccount::plus));
    return new Proof.Balance(accounts);
  }
}
