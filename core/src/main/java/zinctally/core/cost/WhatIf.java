package zinctally.core.cost;

import java.util.List;

/**
 * The same history under another method, for comparison. LIFO is only ever compared with (IAS 2
 * paragraph 25 allows FIFO and weighted average).
 *
 * @param costOut minor units: cost of all outs less what came back
 * @param worth minor units left in the end
 * @param skipped revaluations that have no place under this method
 */
public record WhatIf(long costOut, long worth, int skipped) {
  /**
   * @param pool the item's, before its first event, under the method to compare
   * @param events all events of one item, in event order
   * @throws CannotCost when an event other than a revaluation cannot be where it stands
   */
  public static WhatIf of(Pool pool, List<Booked> events) {
    java.util.Map<Long, Long> outs = new java.util.HashMap<>();
    long back = 0;
    int skipped = 0;
    for (Booked booked : events) {
      CostEvent event = booked.event();
      try {
        long value = pool.apply(event, booked.charges());
        if (event.kind() == EventKind.OUT) outs.put(event.id(), -value);
        if (event.kind() == EventKind.BACK) back = Math.addExact(back, value - booked.charges());
      } catch (CannotCost refused) {
        if (event.kind() != EventKind.REVALUE) throw refused;
        skipped++;
      }
      outs.putAll(pool.takeCovered());
    }
    long out = outs.values().stream().reduce(0L, Math::addExact);
    return new WhatIf(out - back, pool.state().worth(), skipped);
  }
}
