package zinctally.store.posting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Booked;
import zinctally.core.cost.Pool;
import zinctally.core.cost.Position;
import zinctally.core.cost.Recost;
import zinctally.core.cost.Uncovered;
import zinctally.core.goods.Item;
import zinctally.core.proof.Proof;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;
import zinctally.store.cost.PoolWriter;

/** Replays the pool of an item with what a paper adds to it and takes out of it. */
@Component
class Replaying {
  private final PoolStore pools;

  Replaying(PoolStore pools) {
    this.pools = pools;
  }

  /** What came of it. */
  static final class Run {
    final Map<Long, List<Proof.Draw>> draws = new HashMap<>();
    Recost recost;
    private boolean wasShort;
    private boolean replayed;
    private Position from;
    private Position last;
    private int since;
    private long item;

    Worked.PoolAfter kept() {
      List<PoolWriter.Kept> checkpoints = new ArrayList<>();
      recost
          .checkpoints()
          .forEach((at, state) -> checkpoints.add(new PoolWriter.Kept(item, at, state, 0)));
      return new Worked.PoolAfter(
          new PoolWriter.Kept(item, last, recost.end(), since),
          wasShort,
          replayed,
          from,
          checkpoints);
    }
  }

  /** Goes on from the head, or from the latest checkpoint before the first event touched. */
  Run replay(Worker.Job job, Item item, PoolHead head, Placing placing) {
    Run run = new Run();
    run.item = item.id();
    run.wasShort = !head.state().uncovered().isEmpty();
    boolean again = job.plan().again().contains(item.id());
    Position first = placing.first(item.id());
    run.replayed = again || head.last() != null && !head.last().before(first);
    PoolHead start =
        again
            ? PoolHead.empty(item.id())
            : run.replayed ? pools.stateBefore(item.id(), first) : head;
    List<Booked> events = new ArrayList<>();
    if (run.replayed)
      for (Booked old : pools.eventsAfter(item.id(), start.last()))
        if (!placing.isUndone(old.event().id())) events.add(placing.charged(old));
    placing.added(item.id()).forEach(placed -> events.add(placing.charged(placed.booked())));
    events.sort(Comparator.comparing(b -> b.event().at()));
    List<Booked> earlier =
        pools.events(start.state().uncovered().stream().map(Uncovered::out).toList());
    Pool pool =
        pools.pool(
            item.id(),
            item.method(),
            start,
            again || job.mayGoShort() || run.wasShort,
            (out, arrival, quantity, value) ->
                run.draws
                    .computeIfAbsent(out, k -> new ArrayList<>())
                    .add(new Proof.Draw(arrival, quantity, value)));
    run.recost = Recost.of(pool, earlier, events, start.sinceCheckpoint());
    run.from = start.last();
    run.last = events.isEmpty() ? start.last() : events.get(events.size() - 1).event().at();
    run.since = (start.sinceCheckpoint() + events.size()) % Recost.STRIDE;
    return run;
  }
}
