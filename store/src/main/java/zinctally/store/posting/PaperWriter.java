package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntConsumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.Position;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.papers.Fault;
import zinctally.core.papers.plan.Plan;
import zinctally.core.proof.Proof;
import zinctally.store.Refused;
import zinctally.store.cost.PoolStore;

/** Writes what has been worked out; always inside one posting's transaction. */
@Component
class PaperWriter {
  private static final Comparator<List<Long>> BY_ITEM_AND_PLACE =
      Comparator.comparing((List<Long> key) -> key.get(0)).thenComparing(key -> key.get(1));
  private static final int CHUNK = 1000;
  private final JdbcTemplate jdbc;
  private final PoolStore pools;

  PaperWriter(JdbcTemplate jdbc, PoolStore pools) {
    this.jdbc = jdbc;
    this.pools = pools;
  }

  /**
   * @param job what was worked out
   * @param journals entries of this posting by date
   * @param reversals entries that take back an earlier version, by date
   */
  void stock(
      Worked worked,
      Worker.Job job,
      long paper,
      Map<LocalDate, Long> journals,
      Map<LocalDate, Long> reversals,
      IntConsumer reached) {
    events(worked, job.undo(), paper);
    reached.accept(63);
    Proof.Work work = worked.work();
    List<Object[]> entries = new ArrayList<>();
    for (Proof.StockEntry e : work.undone()) entries.add(entry(e, job.items(), paper, reversals));
    for (Proof.StockEntry e : work.entries()) entries.add(entry(e, job.items(), paper, journals));
    jdbc.batchUpdate(
        "insert into cost_entry (item_id, event_id, posting_date, quantity, value, account_id, cause_id, journal_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
        entries);
    jdbc.batchUpdate(
        "update cost_event set booked = booked + ? where id = ?",
        work.later().stream().map(l -> new Object[] {l.difference(), l.event().id()}).toList());
    jdbc.batchUpdate(
        "update cost_event set charges = charges + ? where id = ?",
        worked.charges().entrySet().stream()
            .map(c -> new Object[] {c.getValue(), c.getKey()})
            .toList());
    reached.accept(72);
    pools.writeHeads(worked.pools().stream().map(Worked.PoolAfter::head).toList());
    for (Worked.PoolAfter pool : worked.pools())
      if (pool.wasShort() || !pool.head().state().uncovered().isEmpty())
        pools.writeUncovered(pool.head().item(), pool.head().state());
    for (Worked.PoolAfter pool : worked.pools())
      if (pool.replayed() || !pool.checkpoints().isEmpty())
        pools.writeCheckpoints(
            pool.head().item(), pool.replayed() ? from(pool) : null, pool.checkpoints());
    reached.accept(80);
    moves(job, paper);
    reached.accept(90);
    totals(work, job.items());
  }

  private static Object[] entry(
      Proof.StockEntry e, Map<Long, Item> items, long paper, Map<LocalDate, Long> journals) {
    return new Object[] {
      e.item(),
      e.event().id(),
      e.postingDate(),
      e.quantity(),
      e.value(),
      items.get(e.item()).stockAccount(),
      paper,
      journals.getOrDefault(e.postingDate(), 0L)
    };
  }

  private static Position from(Worked.PoolAfter pool) {
    return pool.replayedFrom() == null
        ? new Position(LocalDate.of(1000, 1, 1), Long.MIN_VALUE, 0)
        : pool.replayedFrom();
  }

  /** New events are written, those of an earlier version changed, and the rest of it is gone. */
  private void events(Worked worked, Undo undo, long paper) {
    List<Object[]> added = new ArrayList<>();
    List<Object[]> changed = new ArrayList<>();
    for (Worked.Fresh fresh : worked.fresh()) {
      Proof.StockEntry e = fresh.entry();
      CostEvent event = e.event();
      Object[] row = {
        event.at().date(),
        event.at().sequence(),
        event.at().line(),
        event.quantity(),
        event.value(),
        event.target(),
        e.contra(),
        e.value(),
        event.id(),
        e.item(),
        event.kind().name(),
        fresh.paper() == 0 ? paper : fresh.paper(),
        fresh.lot()
      };
      if (worked.kept().contains(event.id())) changed.add(Arrays.copyOf(row, 9));
      else added.add(row);
    }
    jdbc.batchUpdate(
        """
        insert into cost_event (date, sequence, line, quantity, value, target_id, contra_account,
          booked, id, item_id, kind, paper_id, lot_id)
        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        added);
    jdbc.batchUpdate(
        "update cost_event set date = ?, sequence = ?, line = ?, quantity = ?, value = ?,"
            + " target_id = ?, contra_account = ?, booked = ? where id = ?",
        changed);
    jdbc.batchUpdate(
        "update cost_event set gone = true, booked = 0 where id = ?",
        undo.events().stream()
            .filter(old -> !worked.kept().contains(old.event().id()))
            .map(old -> new Object[] {old.event().id()})
            .toList());
  }

  private void moves(Worker.Job job, long paper) {
    List<Object[]> moves = new ArrayList<>();
    TreeMap<List<Long>, Long> places = new TreeMap<>(BY_ITEM_AND_PLACE);
    TreeMap<List<Long>, Long> lots = new TreeMap<>(BY_ITEM_AND_PLACE);
    for (Undo.Moved m : job.undo().moves()) {
      LocalDate date = job.undo().on(m.date());
      moves.add(new Object[] {m.item(), m.place(), date, -m.quantity(), paper, m.line(), m.lot()});
      if (m.lot() != 0) lots.merge(List.of(m.lot(), m.place()), -m.quantity(), Math::addExact);
      places.merge(List.of(m.item(), m.place()), -m.quantity(), Math::addExact);
    }
    for (Plan.Move m : job.plan().moves()) {
      boolean own = m.of() == null || m.of().paper() == 0;
      moves.add(
          new Object[] {
            m.item(),
            m.place(),
            m.of() == null ? job.date() : m.of().at().date(),
            m.quantity(),
            own ? paper : m.of().paper(),
            m.line(),
            m.lot() == null ? 0 : m.lot().id()
          });
      if (m.lot() != null)
        lots.merge(List.of(m.lot().id(), m.place()), m.quantity(), Math::addExact);
      places.merge(List.of(m.item(), m.place()), m.quantity(), Math::addExact);
    }
    jdbc.batchUpdate(
        "insert into quantity_move (item_id, place_id, date, quantity, paper_id, line, lot_id)"
            + " values (?, ?, ?, ?, ?, ?, ?)",
        moves);
    jdbc.batchUpdate(
        "insert into place_stock values (?, ?, ?)"
            + " on duplicate key update quantity = quantity + values(quantity)",
        places.entrySet().stream()
            .map(p -> new Object[] {p.getKey().get(0), p.getKey().get(1), p.getValue()})
            .toList());
    lots(lots);
  }

  /**
   * @throws Refused when a serial number would be twice, or less of a lot than nothing
   */
  private void lots(TreeMap<List<Long>, Long> lots) {
    if (lots.isEmpty()) return;
    jdbc.batchUpdate(
        "insert into lot_stock values (?, ?, ?)"
            + " on duplicate key update quantity = quantity + values(quantity)",
        lots.entrySet().stream()
            .map(l -> new Object[] {l.getKey().get(0), l.getKey().get(1), l.getValue()})
            .toList());
    jdbc.batchUpdate(
        "update lot set on_hand = on_hand + ? where id = ?",
        lots.entrySet().stream().map(l -> new Object[] {l.getValue(), l.getKey().get(0)}).toList());
    List<Fault> wrong = new ArrayList<>();
    NamedParameterJdbcTemplate named = new NamedParameterJdbcTemplate(jdbc);
    List<Long> ids = lots.keySet().stream().map(k -> k.get(0)).distinct().toList();
    for (int from = 0; from < ids.size(); from += CHUNK)
      named.query(
          """
          select l.code, i.name, p.name, s.quantity < 0, l.on_hand > 0
          from lot l join item i on i.id = l.item_id
          join lot_stock s on s.lot_id = l.id join place p on p.id = s.place_id
          where l.id in (:lots)
            and (s.quantity < 0 or i.tracking = 'SERIAL' and l.on_hand not in (0, 1000000))
          """,
          Map.of("lots", ids.subList(from, Math.min(ids.size(), from + CHUNK))),
          row -> {
            String what = row.getString(1) + " of " + row.getString(2);
            wrong.add(
                Fault.whole(
                    row.getBoolean(4)
                        ? row.getString(3) + " has less of " + what + " than this takes."
                        : what + " would be here twice."));
          });
    if (!wrong.isEmpty()) throw new Refused(wrong);
  }

  private void totals(Proof.Work work, Map<Long, Item> items) {
    TreeMap<Cell, long[]> byItem = new TreeMap<>();
    TreeMap<Cell, long[]> byYear = new TreeMap<>();
    TreeMap<Cell, long[]> byAccount = new TreeMap<>();
    List<Proof.StockEntry> entries = new ArrayList<>(work.entries());
    entries.addAll(work.undone());
    for (Proof.StockEntry entry : entries) {
      LocalDate month = entry.postingDate().withDayOfMonth(1);
      add(byItem, new Cell(entry.item(), month), entry.quantity(), entry.value());
      add(byYear, new Cell(entry.item(), month.withDayOfYear(1)), entry.quantity(), entry.value());
      add(byAccount, new Cell(items.get(entry.item()).stockAccount(), month), entry.value(), 0);
    }
    jdbc.batchUpdate(
        "insert into item_month (item_id, month, quantity, value) values (?, ?, ?, ?) on duplicate key update"
            + " quantity = quantity + values(quantity), value = value + values(value)",
        rows(byItem, true));
    jdbc.batchUpdate(
        "insert into item_year (item_id, year, quantity, value) values (?, year(?), ?, ?) on duplicate key update"
            + " quantity = quantity + values(quantity), value = value + values(value)",
        rows(byYear, true));
    jdbc.batchUpdate(
        "insert into stock_month values (?, ?, ?) on duplicate key update"
            + " value = value + values(value)",
        rows(byAccount, false));
  }

  /**
   * What journal entries belong to.
   *
   * @param reverses whether they take back an earlier version
   * @param till through which their cash goes
   */
  record Of(long paper, int version, boolean reverses, Optional<Long> till) {}

  /** Writes journal entries and returns their ids by posting date. */
  Map<LocalDate, Long> journals(List<JournalEntry> journals, Of of, Set<Long> stock) {
    Map<LocalDate, Long> byDate = new HashMap<>();
    if (journals.isEmpty()) return byDate;
    List<Long> ids =
        jdbc.queryForList(
            "select next value for journal_id from seq_1_to_" + journals.size(), Long.class);
    List<Object[]> heads = new ArrayList<>();
    List<Object[]> lines = new ArrayList<>();
    TreeMap<Cell, long[]> months = new TreeMap<>();
    Map<Long, TreeMap<Cell, long[]>> byItem = new TreeMap<>();
    for (int i = 0; i < journals.size(); i++) {
      JournalEntry entry = journals.get(i);
      heads.add(
          new Object[] {
            ids.get(i), entry.date(), of.paper, of.version, of.reverses, of.till.orElse(null)
          });
      int n = 0;
      for (JournalLine line : entry.lines()) {
        lines.add(
            new Object[] {
              ids.get(i),
              n++,
              line.account(),
              entry.date(),
              line.item(),
              line.party(),
              line.amount(),
              line.memo(),
              line.worked()
            });
        add(
            months,
            new Cell(line.account(), entry.date().withDayOfMonth(1)),
            Math.max(0, line.amount()),
            Math.max(0, -line.amount()));
        if (stock.contains(line.account()))
          add(
              byItem.computeIfAbsent(line.account(), a -> new TreeMap<>()),
              new Cell(line.item(), entry.date().withDayOfMonth(1)),
              line.amount(),
              0);
      }
    }
    jdbc.batchUpdate(
        "insert into journal (id, date, paper_id, version, reverses, till_id)"
            + " values (?, ?, ?, ?, ?, ?)",
        heads);
    jdbc.batchUpdate(
        "insert into journal_line (journal_id, line, account_id, date, item_id, party_id, amount, memo, worked)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
        lines);
    jdbc.batchUpdate(
        "insert into account_month values (?, ?, ?, ?) on duplicate key update"
            + " debit = debit + values(debit), credit = credit + values(credit)",
        rows(months, true));
    byItem.forEach(
        (account, cells) ->
            jdbc.batchUpdate(
                "insert into stock_account_month values ("
                    + account
                    + ", ?, ?, ?) on duplicate key update amount = amount + values(amount)",
                rows(cells, false)));
    for (int i = 0; i < journals.size(); i++) byDate.put(journals.get(i).date(), ids.get(i));
    return byDate;
  }

  private record Cell(long id, LocalDate month) implements Comparable<Cell> {
    @Override
    public int compareTo(Cell other) {
      int byId = Long.compare(id, other.id);
      return byId != 0 ? byId : month.compareTo(other.month);
    }
  }

  private static void add(TreeMap<Cell, long[]> sums, Cell cell, long first, long second) {
    long[] sum = sums.computeIfAbsent(cell, c -> new long[2]);
    sum[0] = Math.addExact(sum[0], first);
    sum[1] = Math.addExact(sum[1], second);
  }

  private static List<Object[]> rows(TreeMap<Cell, long[]> sums, boolean both) {
    List<Object[]> rows = new ArrayList<>();
    sums.forEach(
        (cell, sum) ->
            rows.add(
                both
                    ? new Object[] {cell.id(), cell.month(), sum[0], sum[1]}
                    : new Object[] {cell.id(), cell.month(), sum[0]}));
    return rows;
  }
}
