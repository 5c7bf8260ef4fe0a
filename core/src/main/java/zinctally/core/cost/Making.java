package zinctally.core.cost;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Spread;

/**
 * Goods made of other goods, or taken apart: what comes in is worth what went out and what was
 * charged. The parts of an assembly have one result; a disassembly shares the whole's cost over its
 * parts by weights, to the minor unit (IAS 2 paragraphs 12 and 14).
 *
 * @param components events that went out, of any pools
 * @param charges minor units added, such as packing and labour; less what comes in at a value of
 *     its own
 * @param results what came in
 */
public record Making(List<Component> components, long charges, List<Result> results) {
  /**
   * @param event an out of the item's pool
   * @param booked minor units it is booked at, above zero; null when it is not posted yet
   */
  public record Component(long item, long event, @Nullable Long booked) {}

  /**
   * @param event an in of the item's pool
   * @param weight its share of the cost, zero or more
   * @param booked minor units it is booked at; null when it is not posted yet
   */
  public record Result(long item, long event, long weight, @Nullable Long booked) {}

  public Making {
    components = List.copyOf(components);
    results = List.copyOf(results);
  }

  /**
   * What each result is worth, by event.
   *
   * @param costs minor units of each component's out, above zero, by event
   * @throws ArithmeticException on overflow
   */
  Map<Long, Long> values(Map<Long, Long> costs) {
    long whole = charges;
    for (Component component : components)
      whole = Math.addExact(whole, Objects.requireNonNull(costs.get(component.event())));
    long[] parts = Spread.over(whole, results.stream().mapToLong(Result::weight).toArray());
    Map<Long, Long> values = new HashMap<>();
    for (int i = 0; i < parts.length; i++) values.put(results.get(i).event(), parts[i]);
    return values;
  }
}
