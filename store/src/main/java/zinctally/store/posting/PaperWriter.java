package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.IntConsumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.proof.Proof;
import zinctally.store.cost.PoolWriter;
import zinctally.store.sql.Rows;

/** Writes what has been worked out; always inside one posting's transaction. */
@Component
class PaperWriter {
  private final JdbcTemplate jdbc;

  private final PoolWriter pools;
  private final MoveWriter moves;

  private final Makings makings;

  PaperWriter(JdbcTemplate jdbc, PoolWriter pools, MoveWriter moves, Makings makings) {
    this.jdbc = jdbc;
    this.pools = pools;
    this.moves = moves;
    this.makings = makings;
  }

  /**
   * @param job what was worked out
   * @param of the paper, and the moment
   * @param journals entries of this posting by date
   * @param reversals entries that take back an earlier version, by date
   */
  void stock(
      Worked worked,
      Worker.Job job,
      Entries.Of of,
      Map<LocalDate, Long> journals,
      Map<LocalDate, Long> reversals,
      IntConsumer reached) {
    long paper = of.paper();
    events(worked, job.undo(), paper);
    makings.write(paper, worked, job.undo().paper() != 0);
    makings.revalue(worked.remade());
    reached.accept(63);
    Proof.Work work = worked.work();
    List<Object[]> entries = new ArrayList<>();
    for (Proof.StockEntry e : work.undone()) entries.add(entry(e, worked.items(), of, reversals));
    for (Proof.StockEntry e : work.entries()) entries.add(entry(e, worked.items(), of, journals));
    Rows.write(
        jdbc,
        "insert into cost_entry (item_id, event_id, posting_date, quantity, value, account_id, cause_id, journal_id, entered_at, posting_id)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
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
    moves.write(job, of);
  }

  private static Object[] entry(
      Proof.StockEntry e, Map<Long, Item> items, Entries.Of of, Map<LocalDate, Long> journals) {
    return new Object[] {
      e.item(),
      e.event().id(),
      e.postingDate(),
      e.quantity(),
      e.value(),
      Objects.requireNonNull(items.get(e.item())).stockAccount(),
      of.paper(),
      journals.getOrDefault(e.postingDate(), 0L),
      of.at(),
      of.posting()
    };
  }

  private static Position from(Worked.PoolAfter pool) {
    return pool.replayedFrom() == null
        ? new Position(LocalDate.of(1000, 1, 1), Long.MIN_VALUE, Spot.FIRST)
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
        event.at().spot().part(),
        event.at().spot().line(),
        event.quantity(),
        event.value(),
        event.target(),
        e.contra(),
        e.centre(),
        e.value(),
        event.id(),
        e.item(),
        event.kind().name(),
        fresh.paper() == 0 ? paper : fresh.paper(),
        fresh.lot()
      };
      if (worked.kept().contains(event.id())) changed.add(Arrays.copyOf(row, 11));
      else added.add(row);
    }
    Rows.write(
        jdbc,
        """
        insert into cost_event (date, sequence, part, line, quantity, value, target_id,
          contra_account, centre_id, booked, id, item_id, kind, paper_id, lot_id)
        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        added);
    jdbc.batchUpdate(
        "update cost_event set date = ?, sequence = ?, part = ?, line = ?, quantity = ?, value = ?,"
            + " target_id = ?, contra_account = ?, centre_id = ?, booked = ? where id = ?",
        changed);
    jdbc.batchUpdate(
        "update cost_event set gone = true, booked = 0 where id = ?",
        undo.events().stream()
            .filter(old -> !worked.kept().contains(old.event().id()))
            .map(old -> new Object[] {old.event().id()})
            .toList());
  }
}
