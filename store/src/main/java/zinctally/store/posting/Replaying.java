package zinctally.store.posting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Booked;
import zinctally.core.cost.CostEvent;
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

  /**
   * What came of it.
   *
   * @param draws what each out took, by its id
   * @param kept the pool as it is to be written
   */
  record Run(Map<Long, List<Proof.Draw>> draws, Recost recost, Worked.PoolAfter kept) {}

  /**
   * Goes on from the head, or from the latest checkpoint before the first event touched.
   *
   * @param made minor units of what was made of other goods, by event, where that is not what the
   *     event says
   */
  Run replay(
      Worker.Job job,
      Item item,
      PoolHead head,
      Placing placing,
      Histories histories,
      Map<Long, Long> made) {
    boolean wasShort = !head.state().uncovered().isEmpty();
    boolean again = job.plan().again().contains(item.id());
    Position first = placing.first(item.id());
    boolean replayed = again || reachesBack(head, first);
    Histories.From from =
        !replayed
            ? new Histories.From(head, List.of())
            : again || first == null
                ? new Histories.From(PoolHead.empty(item.id()), pools.events(item.id()))
                : histories.before(item.id(), first);
    PoolHead start = from.state();
    List<Booked> events = new ArrayList<>();
    for (Booked old : from.events())
      if (!placing.isUndone(old.event().id())) events.add(placing.charged(old));
    placing.added(item.id()).forEach(placed -> events.add(placing.charged(placed.booked())));
    events.replaceAll(booked -> at(booked, made.get(booked.event().id())));
    events.sort(Comparator.comparing(b -> b.event().at()));
    List<Booked> earlier =
        pools.events(start.state().uncovered().stream().map(Uncovered::out).toList());
    Map<Long, List<Proof.Draw>> draws = new HashMap<>();
    Pool pool =
        pools.pool(
            item.id(),
            item.method(),
            start,
            again || job.mayGoShort() || wasShort,
            (out, arrival, quantity, value) ->
                draws
                    .computeIfAbsent(out, k -> new ArrayList<>())
                    .add(new Proof.Draw(arrival, quantity, value)));
    Recost recost = Recost.of(pool, earlier, events, start.sinceCheckpoint());
    Position last = events.isEmpty() ? start.last() : events.get(events.size() - 1).event().at();
    int since = (start.sinceCheckpoint() + events.size()) % Recost.STRIDE;
    List<PoolWriter.Kept> checkpoints = new ArrayList<>();
    recost
        .checkpoints()
        .forEach((at, state) -> checkpoints.add(new PoolWriter.Kept(item.id(), at, state, 0)));
    PoolWriter.Kept end = new PoolWriter.Kept(item.id(), last, recost.end(), since);
    return new Run(
        draws, recost, new Worked.PoolAfter(end, wasShort, replayed, start.last(), checkpoints));
  }

  private static Booked at(Booked booked, @Nullable Long value) {
    if (value == null) return booked;
    CostEvent e = booked.event();
    CostEvent now = new CostEvent(e.id(), e.kind(), e.at(), e.quantity(), value, e.target());
    return new Booked(now, booked.charges(), booked.value(), booked.fresh());
  }

  /** Whether what is changed stands before the end of what is known. */
  static boolean reachesBack(PoolHead head, @Nullable Position first) {
    return first != null && head.last() != null && !head.last().before(first);
  }
}
