package zinctally.core.cost;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * A pool worked out again from some state on, held against what the stock book says.
 *
 * @param changes events that are new or whose value came out differently, in event order
 * @param end the pool's state after the last event
 * @param checkpoints states on the way, by the position of the event they follow
 * @param values signed minor units of every event worked, by event
 */
public record Recost(
    List<Change> changes,
    PoolState end,
    Map<Position, PoolState> checkpoints,
    Map<Long, Long> values) {
  /** Events between two checkpoints. */
  public static final int STRIDE = 200;

  /**
   * @param before signed minor units booked so far
   * @param after signed minor units now
   */
  public record Change(CostEvent event, long before, long after, boolean fresh) {
    public long difference() {
      return after - before;
    }
  }

  /**
   * Replays {@code events} on {@code pool} and compares.
   *
   * @param earlier what is booked of outs that stand uncovered in the pool's starting state
   * @param events in event order
   * @param sinceCheckpoint events already worked since the latest checkpoint
   * @throws CannotCost when an event cannot be where it stands
   * @throws ArithmeticException on overflow
   */
  public static Recost of(
      Pool pool, List<Booked> earlier, List<Booked> events, int sinceCheckpoint) {
    Map<Long, Booked> byId = new LinkedHashMap<>();
    Map<Long, Long> values = new HashMap<>();
    for (Uncovered open : pool.state().uncovered()) values.put(open.out(), -open.cost());
    earlier.forEach(booked -> byId.put(booked.event().id(), booked));
    Map<Position, PoolState> checkpoints = new LinkedHashMap<>();
    int worked = sinceCheckpoint;
    for (Booked booked : events) {
      CostEvent event = booked.event();
      byId.put(event.id(), booked);
      long worth = pool.apply(event, booked.charges());
      values.put(
          event.id(),
          switch (event.kind()) {
            case IN, CHARGE -> event.value();
            case BACK -> worth - booked.charges();
            case OUT, REVALUE -> worth;
          });
      pool.takeCovered().forEach((out, cost) -> values.put(out, -cost));
      if (++worked % STRIDE == 0) checkpoints.put(event.at(), pool.state());
    }
    List<Change> changes = new ArrayList<>();
    byId.forEach(
        (id, booked) -> {
          long after = Objects.requireNonNull(values.get(id));
          if (booked.fresh() || after != booked.value())
            changes.add(new Change(booked.event(), booked.value(), after, booked.fresh()));
        });
    return new Recost(changes, pool.state(), checkpoints, values);
  }
}
