package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntConsumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.papers.Plan;
import zinctally.core.proof.Proof;
import zinctally.store.cost.PoolStore;
import zinctally.store.ledger.AccountStore;

/** Writes what has been worked out; always inside one posting's transaction. */
@Component
class PaperWriter {
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;
  private final PoolStore pools;
  private final AccountStore accounts;

  PaperWriter(JdbcClient sql, JdbcTemplate jdbc, PoolStore pools, AccountStore accounts) {
    this.sql = sql;
    this.jdbc = jdbc;
    this.pools = pools;
    this.accounts = accounts;
  }

  void stock(
      Worked worked,
      Plan plan,
      long paper,
      LocalDate date,
      Map<Long, Item> items,
      Map<LocalDate, Long> journals,
      IntConsumer reached) {
    events(worked.fresh(), paper);
    reached.accept(63);
    Proof.Work work = worked.work();
    jdbc.batchUpdate(
        "insert into cost_entry (item_id, event_id, posting_date, quantity, value, account_id, cause_id, journal_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
        work.entries().stream()
            .map(
                e ->
                    new Object[] {
                      e.item(),
                      e.event().id(),
                      e.postingDate(),
                      e.quantity(),
                      e.value(),
                      items.get(e.item()).stockAccount(),
                      paper,
                      journals.getOrDefault(e.postingDate(), 0L)
                    })
            .toList());
    jdbc.batchUpdate(
        "update cost_event set booked = booked + ? where id = ?",
        work.later().stream().map(l -> new Object[] {l.difference(), l.event().id()}).toList());
    reached.accept(72);
    pools.writeHeads(worked.pools().stream().map(Worked.PoolAfter::head).toList());
    for (Worked.PoolAfter pool : worked.pools())
      if (pool.replayed() || !pool.checkpoints().isEmpty())
        pools.writeCheckpoints(
            pool.head().item(), pool.replayed() ? from(pool) : null, pool.checkpoints());
    reached.accept(80);
    moves(plan, paper, date);
    reached.accept(90);
    totals(work, items);
  }

  private static zinctally.core.cost.Position from(Worked.PoolAfter pool) {
    return pool.replayedFrom() == null
        ? new zinctally.core.cost.Position(LocalDate.of(1000, 1, 1), 0, 0)
        : pool.replayedFrom();
  }

  private void events(List<Proof.StockEntry> fresh, long paper) {
    jdbc.batchUpdate(
        """
        insert into cost_event (id, item_id, date, sequence, line, kind, quantity, value,
          target_id, contra_account, booked, paper_id)
        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        fresh.stream()
            .map(
                e ->
                    new Object[] {
                      e.event().id(),
                      e.item(),
                      e.event().at().date(),
                      e.event().at().sequence(),
                      e.event().at().line(),
                      e.event().kind().name(),
                      e.event().quantity(),
                      e.event().value(),
                      e.event().target(),
                      e.contra(),
                      e.value(),
                      paper
                    })
            .toList());
  }

  private void moves(Plan plan, long paper, LocalDate date) {
    jdbc.batchUpdate(
        "insert into quantity_move (item_id, place_id, date, quantity, paper_id, line)"
            + " values (?, ?, ?, ?, ?, ?)",
        plan.moves().stream()
            .map(m -> new Object[] {m.item(), m.place(), date, m.quantity(), paper, m.line()})
            .toList());
    jdbc.batchUpdate(
        "insert into place_stock values (?, ?, ?)"
            + " on duplicate key update quantity = quantity + values(quantity)",
        plan.moves().stream()
            .sorted(
                java.util.Comparator.comparingLong(Plan.Move::item).thenComparing(Plan.Move::place))
            .map(m -> new Object[] {m.item(), m.place(), m.quantity()})
            .toList());
  }

  private void totals(Proof.Work work, Map<Long, Item> items) {
    TreeMap<Cell, long[]> byItem = new TreeMap<>();
    TreeMap<Cell, long[]> byAccount = new TreeMap<>();
    for (Proof.StockEntry entry : work.entries()) {
      LocalDate month = entry.postingDate().withDayOfMonth(1);
      add(byItem, new Cell(entry.item(), month), entry.quantity(), entry.value());
      add(byAccount, new Cell(items.get(entry.item()).stockAccount(), month), entry.value(), 0);
    }
    jdbc.batchUpdate(
        "insert into item_month values (?, ?, ?, ?) on duplicate key update"
            + " quantity = quantity + values(quantity), value = value + values(value)",
        rows(byItem, true));
    jdbc.batchUpdate(
        "insert into stock_month values (?, ?, ?) on duplicate key update"
            + " value = value + values(value)",
        rows(byAccount, false));
  }

  /** Writes journal entries and returns their ids by posting date. */
  Map<LocalDate, Long> journals(List<JournalEntry> journals, long paper, int version) {
    Map<LocalDate, Long> byDate = new HashMap<>();
    if (journals.isEmpty()) return byDate;
    List<Long> ids =
        jdbc.queryForList(
            "select next value for journal_id from seq_1_to_" + journals.size(), Long.class);
    List<Object[]> heads = new ArrayList<>();
    List<Object[]> lines = new ArrayList<>();
    TreeMap<Cell, long[]> months = new TreeMap<>();
    Set<Long> stock = accounts.stock();
    Map<Long, TreeMap<Cell, long[]>> byItem = new TreeMap<>();
    for (int i = 0; i < journals.size(); i++) {
      JournalEntry entry = journals.get(i);
      heads.add(new Object[] {ids.get(i), entry.date(), paper, version});
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
              line.memo()
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
    jdbc.batchUpdate("insert into journal values (?, ?, ?, ?)", heads);
    jdbc.batchUpdate(
        "insert into journal_line (journal_id, line, account_id, date, item_id, party_id, amount, memo)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
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

  /** What the paper makes owed, and what it settles. */
  void dues(Plan plan, long paper, String number, LocalDate date) {
    int line = 0;
    for (Plan.Due due : plan.dues()) {
      sql.sql(
              "insert into open_item (paper_id, line, party_id, number, date, due, amount, open)"
                  + " values (?, ?, ?, ?, ?, ?, ?, ?)")
          .params(
              paper,
              line++,
              due.party(),
              due.number().isEmpty() ? number : due.number(),
              due.date(),
              due.due(),
              due.amount(),
              due.amount())
          .update();
    }
    for (Plan.Settlement settlement : plan.settlements()) {
      int done =
          sql.sql(
                  "update open_item set open = open + :a where id = :id"
                      + " and abs(open + :a) <= abs(open) and sign(open + :a) in (0, sign(open))")
              .param("a", settlement.amount())
              .param("id", settlement.openItem())
              .update();
      if (done == 0)
        throw new Refused(
            List.of(
                zinctally.core.papers.Fault.whole(
                    "One of these has been settled in the meantime; look at what is open again.")));
      sql.sql("insert into settlement (paper_id, open_item_id, amount, date) values (?, ?, ?, ?)")
          .params(paper, settlement.openItem(), settlement.amount(), date)
          .update();
    }
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
