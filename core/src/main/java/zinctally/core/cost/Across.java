package zinctally.core.cost;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Recosts pools whose goods were made of one another, until none of them changes any more. A change
 * in a component's cost flows on to the result, to its sales, and to what it in turn became part
 * of; pools it does not reach are left alone.
 */
public final class Across {
  /** The pools, each to be worked out again as often as the values of its arrivals change. */
  public interface Pools {
    /**
     * @param values minor units of arrivals that were made, by event; those not in it are worth
     *     what their events say
     * @throws CannotCost when an event cannot be where it stands
     */
    Recost recost(long item, Map<Long, Long> values);

    /** Whatever was made of goods of an item whose cost is new or came out differently. */
    Collection<Making> madeOf(long item, Recost recost);
  }

  /** Goods are made of themselves: what was short is made up for by what was made of it. */
  public static final class Circle extends RuntimeException {
    Circle() {
      super("goods are made of themselves", null, false, false);
    }
  }

  private final Pools pools;
  private final Map<Long, Recost> worked = new LinkedHashMap<>();
  private final Map<Long, Long> values = new HashMap<>();
  private final Map<Long, CannotCost> failed = new HashMap<>();
  private final Set<Long> made = new HashSet<>();

  /** What was made of an item's goods, as far as it was reached in any pass. */
  private final Map<Long, Set<Making>> reached = new HashMap<>();

  private Across(Pools pools) {
    this.pools = pools;
  }

  /**
   * What came of it.
   *
   * @param pools each pool that was worked out, as it is in the end, by item
   * @param values minor units of what was made and came out differently or is new, by event
   */
  public record Settled(Map<Long, Recost> pools, Map<Long, Long> values) {}

  /**
   * @param items whose pools are touched, without what is made of them
   * @throws CannotCost when an event cannot be where it stands
   * @throws Circle when goods are, in the end, made of themselves
   */
  public static Settled settle(Collection<Long> items, Pools pools) {
    Across across = new Across(pools);
    across.work(new TreeSet<>(items));
    return new Settled(across.worked, across.values);
  }

  /** Each pass over the pools settles one more of what was made, in the order of its making. */
  private void work(TreeSet<Long> stale) {
    long passes = 0;
    while (!stale.isEmpty()) {
      long item = stale.pollFirst();
      Recost recost = recost(item);
      if (recost == null) continue;
      // what changed in an earlier pass and no longer does must be put back, too
      Set<Making> makings = reached.computeIfAbsent(item, i -> new LinkedHashSet<>());
      makings.addAll(pools.madeOf(item, recost));
      for (Making making : makings) {
        making.results().forEach(r -> made.add(r.event()));
        if (known(making)) stale.addAll(flow(making));
      }
      if (++passes > (made.size() + 1L) * (worked.size() + stale.size() + 1L)) throw new Circle();
    }
    for (CannotCost still : failed.values()) throw still;
  }

  /** Null when it cannot be, as long as a value it stands on is not the last one. */
  private @Nullable Recost recost(long item) {
    try {
      Recost recost = pools.recost(item, values);
      failed.remove(item);
      worked.put(item, recost);
      return recost;
    } catch (CannotCost refused) {
      failed.put(item, refused);
      return null;
    }
  }

  private boolean known(Making making) {
    return making.components().stream()
        .allMatch(part -> part.booked() != null || worked.containsKey(part.item()));
  }

  /** Gives results their new values; returns the items of those that changed. */
  private TreeSet<Long> flow(Making making) {
    Map<Long, Long> costs = new HashMap<>();
    for (Making.Component part : making.components()) costs.put(part.event(), cost(part));
    Map<Long, Long> now = making.values(costs);
    TreeSet<Long> changed = new TreeSet<>();
    for (Making.Result result : making.results()) {
      Long after = Objects.requireNonNull(now.get(result.event()));
      Long before =
          values.containsKey(result.event()) ? values.get(result.event()) : result.booked();
      if (after.equals(before)) continue;
      values.put(result.event(), after);
      changed.add(result.item());
    }
    return changed;
  }

  private long cost(Making.Component part) {
    Recost recost = worked.get(part.item());
    Long value = recost == null ? null : recost.values().get(part.event());
    return value == null ? Objects.requireNonNull(part.booked()) : -value;
  }
}
