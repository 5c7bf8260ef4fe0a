package zinctally.core.cost;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;

/**
 * Recosts several pools whose goods were made of one another, until none of them changes any more.
 * A change in a component's cost flows on to the result, to its sales, and to what it in turn
 * became part of.
 */
public final class Across {
  /** One pool, to be worked out again as often as the values of its arrivals change. */
  @FunctionalInterface
  public interface Replay {
    /**
     * @param values minor units of arrivals that assemblies gave, by event; those not in it are
     *     worth what their events say
     */
    Recost recost(Map<Long, Long> values);
  }

  private Across() {}

  /**
   * @param pools every pool touched, by item, and those that assemblies lead to
   * @param assemblies in event order; results come later in event order than their components
   * @return each pool as it is in the end
   * @throws CannotCost when an event cannot be where it stands
   * @throws IllegalArgumentException when goods are, in the end, made of themselves
   */
  public static Map<Long, Recost> settle(Map<Long, Replay> pools, Collection<Assembly> assemblies) {
    Map<Long, Recost> worked = new LinkedHashMap<>();
    Map<Long, Long> values = new HashMap<>();
    Map<Long, List<Assembly>> from = new HashMap<>();
    for (Assembly assembly : assemblies)
      for (Assembly.Component part : assembly.components())
        from.merge(part.item(), List.of(assembly), Across::joined);
    TreeSet<Long> stale = new TreeSet<>(pools.keySet());
    long rounds = (long) (assemblies.size() + 1) * (pools.size() + 1);
    while (!stale.isEmpty()) {
      if (rounds-- < 0) throw new IllegalArgumentException("these goods are made of themselves");
      long item = stale.pollFirst();
      worked.put(item, of(pools, item).recost(values));
      for (Assembly assembly : from.getOrDefault(item, List.of()))
        if (known(assembly, worked)) stale.addAll(flow(assembly, worked, values));
    }
    return worked;
  }

  private static List<Assembly> joined(List<Assembly> some, List<Assembly> more) {
    List<Assembly> all = new java.util.ArrayList<>(some);
    more.stream().filter(a -> !all.contains(a)).forEach(all::add);
    return all;
  }

  private static boolean known(Assembly assembly, Map<Long, Recost> worked) {
    return assembly.components().stream().allMatch(part -> worked.containsKey(part.item()));
  }

  /** What must be there: each item has its pool, each event its value. */
  private static <T> T of(Map<Long, T> all, long id) {
    return Objects.requireNonNull(all.get(id));
  }

  /** Gives results their new values; returns the items of those that changed. */
  private static TreeSet<Long> flow(
      Assembly assembly, Map<Long, Recost> worked, Map<Long, Long> values) {
    Map<Long, Long> costs = new HashMap<>();
    for (Assembly.Component part : assembly.components())
      costs.put(part.event(), -of(of(worked, part.item()).values(), part.event()));
    Map<Long, Long> now = assembly.values(costs);
    TreeSet<Long> changed = new TreeSet<>();
    for (Assembly.Result result : assembly.results()) {
      Long after = of(now, result.event());
      if (!after.equals(values.put(result.event(), after))) changed.add(result.item());
    }
    return changed;
  }
}
