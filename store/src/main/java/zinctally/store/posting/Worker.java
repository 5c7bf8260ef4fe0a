package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Booked;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Past;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.core.cost.PostingDate;
import zinctally.core.cost.Recost;
import zinctally.core.cost.Uncovered;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Plan;
import zinctally.core.proof.Proof;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;
import zinctally.store.ledger.AccountStore;
import zinctally.store.prove.BalanceStore;

/**
 * Works out what a plan will do. The proof shows it, the posting writes it: there is no second way.
 */
@Component
class Worker {
  private final PoolStore pools;
  private final BalanceStore balances;
  private final AccountStore accounts;
  private final JdbcClient sql;

  Worker(PoolStore pools, BalanceStore balances, AccountStore accounts, JdbcClient sql) {
    this.pools = pools;
    this.balances = balances;
    this.accounts = accounts;
    this.sql = sql;
  }

  /**
   * @param paperDate date of the paper and of its events
   * @param sequence the paper's place among papers of its date
   * @param items by id, all that the plan speaks of
   * @param lock whether the pools are to be held until the transaction ends
   * @throws CannotCost when an event, of this paper or a later one, cannot be where it stands
   * @throws ArithmeticException when an amount is too large
   */
  Worked work(
      Plan plan,
      LocalDate paperDate,
      long sequence,
      Map<Long, Item> items,
      Catalogue.Rules rules,
      boolean lock) {
    Map<Long, List<Plan.Event>> byItem =
        plan.events().stream()
            .collect(Collectors.groupingBy(Plan.Event::item, TreeMap::new, Collectors.toList()));
    Map<Long, PoolHead> heads = pools.heads(byItem.keySet(), lock);
    List<Long> ids = plan.events().isEmpty() ? List.of() : ids(plan.events().size(), lock);
    int nextId = 0;
    List<Proof.Shift> shifts = new ArrayList<>();
    List<Proof.StockEntry> entries = new ArrayList<>();
    List<Proof.StockEntry> fresh = new ArrayList<>();
    List<Proof.Later> later = new ArrayList<>();
    List<Worked.PoolAfter> after = new ArrayList<>();
    for (var each : byItem.entrySet()) {
      long item = each.getKey();
      Map<Long, Long> contras = new HashMap<>();
      List<Booked> added = new ArrayList<>();
      for (Plan.Event planned : each.getValue()) {
        long id = ids.get(nextId++);
        contras.put(id, planned.contra());
        Position at = new Position(paperDate, sequence, planned.line());
        added.add(
            new Booked(
                new CostEvent(
                    id, planned.kind(), at, planned.quantity(), planned.value(), planned.target()),
                0,
                0,
                true));
      }
      added.sort(Comparator.comparing(b -> b.event().at()));
      Run run = replay(items.get(item), heads.get(item), added);
      Map<Long, List<Proof.Draw>> draws = run.draws;
      contras.putAll(contrasOf(run.recost.changes()));
      for (Recost.Change change : run.recost.changes()) {
        CostEvent event = change.event();
        LocalDate date = PostingDate.of(event.at().date(), paperDate, rules.firstOpenDay());
        long quantity = change.fresh() ? signed(event) : 0;
        Proof.StockEntry entry =
            new Proof.StockEntry(
                event, item, date, quantity, change.difference(), contras.get(event.id()));
        entries.add(entry);
        if (change.fresh()) fresh.add(entry);
        else later.add(new Proof.Later(event, item, change.difference(), date));
      }
      PoolState before = heads.get(item).state();
      shifts.add(
          new Proof.Shift(
              items.get(item),
              before.onHand(),
              run.recost.end().onHand(),
              before.worth(),
              run.recost.end().worth(),
              added.stream()
                  .flatMap(b -> draws.getOrDefault(b.event().id(), List.of()).stream())
                  .toList()));
      after.add(run.kept());
    }
    later.sort(Comparator.comparing(l -> l.event().at()));
    List<JournalEntry> journals = journals(plan, paperDate, entries, items);
    Proof.Balance now = balances.now();
    return new Worked(
        new Proof.Work(
            shifts, entries, journals, later, now, afterwards(now, entries, journals, items)),
        fresh,
        after);
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

  private static final class Run {
    private final Map<Long, List<Proof.Draw>> draws = new HashMap<>();
    private Recost recost;
    private boolean replayed;
    private Position from;
    private Position last;
    private int since;
    private long item;

    Worked.PoolAfter kept() {
      List<PoolStore.Kept> checkpoints = new ArrayList<>();
      recost
          .checkpoints()
          .forEach((at, state) -> checkpoints.add(new PoolStore.Kept(item, at, state, 0)));
      return new Worked.PoolAfter(
          new PoolStore.Kept(item, last, recost.end(), since), replayed, from, checkpoints);
    }
  }

  /** Goes on from the head, or from the latest checkpoint before the first new event. */
  private Run replay(Item item, PoolHead head, List<Booked> added) {
    Run run = new Run();
    run.item = item.id();
    Position first = added.get(0).event().at();
    run.replayed = head.last() != null && first.before(head.last());
    PoolHead start = run.replayed ? pools.stateBefore(item.id(), first) : head;
    List<Booked> events = new ArrayList<>(added);
    if (run.replayed) {
      events.addAll(pools.eventsAfter(item.id(), start.last()));
      events.sort(Comparator.comparing(b -> b.event().at()));
    }
    List<Booked> earlier =
        pools.events(start.state().uncovered().stream().map(Uncovered::out).toList());
    Past past = pools.past(item.id(), start.last());
    Pool pool =
        new Pool(
            item.method(),
            start.state(),
            false,
            past,
            (out, arrival, quantity, value) ->
                run.draws
                    .computeIfAbsent(out, k -> new ArrayList<>())
                    .add(new Proof.Draw(arrival, quantity, value)));
    run.recost = Recost.of(pool, earlier, events, start.sinceCheckpoint());
    run.from = start.last();
    run.last = events.get(events.size() - 1).event().at();
    run.since = (start.sinceCheckpoint() + events.size()) % Recost.STRIDE;
    return run;
  }

  private Map<Long, Long> contrasOf(List<Recost.Change> changes) {
    List<Long> old = changes.stream().filter(c -> !c.fresh()).map(c -> c.event().id()).toList();
    Map<Long, Long> contras = new HashMap<>();
    for (int from = 0; from < old.size(); from += 1000)
      sql.sql("select id, contra_account from cost_event where id in (:ids)")
          .param("ids", old.subList(from, Math.min(old.size(), from + 1000)))
          .query((row, n) -> contras.put(row.getLong(1), row.getLong(2)))
          .list();
    return contras;
  }

  /** One entry for each posting date; the stock accounts get exactly what the stock book gets. */
  private static List<JournalEntry> journals(
      Plan plan, LocalDate paperDate, List<Proof.StockEntry> entries, Map<Long, Item> items) {
    TreeMap<LocalDate, Map<List<Long>, Long>> sums = new TreeMap<>();
    for (Proof.StockEntry entry : entries) {
      if (entry.value() == 0) continue;
      var day = sums.computeIfAbsent(entry.postingDate(), d -> new LinkedHashMap<>());
      long stock = items.get(entry.item()).stockAccount();
      day.merge(List.of(stock, entry.item()), entry.value(), Math::addExact);
      if (entry.contra() != 0)
        day.merge(List.of(entry.contra(), entry.item()), -entry.value(), Math::addExact);
    }
    if (!plan.lines().isEmpty()) sums.computeIfAbsent(paperDate, d -> new LinkedHashMap<>());
    List<JournalEntry> journals = new ArrayList<>();
    sums.forEach(
        (date, day) -> {
          List<JournalLine> lines = new ArrayList<>();
          if (date.equals(paperDate))
            plan.lines().stream().filter(l -> l.amount() != 0).forEach(lines::add);
          day.forEach(
              (key, sum) -> {
                if (sum != 0) lines.add(new JournalLine(key.get(0), key.get(1), 0, sum, ""));
              });
          lines.sort(Comparator.comparing((JournalLine l) -> l.amount() < 0));
          if (!lines.isEmpty()) journals.add(new JournalEntry(date, lines));
        });
    return journals;
  }

  private Proof.Balance afterwards(
      Proof.Balance now,
      List<Proof.StockEntry> entries,
      List<JournalEntry> journals,
      Map<Long, Item> items) {
    Set<Long> stockAccounts = accounts.stock();
    long book = entries.stream().mapToLong(Proof.StockEntry::value).reduce(0, Math::addExact);
    long ledger =
        journals.stream()
            .flatMap(j -> j.lines().stream())
            .filter(l -> stockAccounts.contains(l.account()))
            .mapToLong(JournalLine::amount)
            .reduce(0, Math::addExact);
    return new Proof.Balance(
        Math.addExact(now.stockBook(), book), Math.addExact(now.ledger(), ledger));
  }
}
