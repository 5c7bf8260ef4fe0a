package zinctally.core.cost;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.number.Quantity;

/** A pool's events told one after another, worked out from the start. */
final class Story {
  private final List<CostEvent> events = new ArrayList<>();
  private final Map<Long, Long> charges = new HashMap<>();
  private final long before;

  Story() {
    this(0);
  }

  /**
   * @param before events are numbered from the next on
   */
  Story(long before) {
    this.before = before;
  }

  Story in(int quantity, long value) {
    return add(EventKind.IN, quantity * Quantity.ONE, value, 0);
  }

  Story out(int quantity) {
    return add(EventKind.OUT, quantity * Quantity.ONE, 0, 0);
  }

  Story outOf(int quantity, long arrival) {
    return add(EventKind.OUT, quantity * Quantity.ONE, 0, arrival);
  }

  Story back(int quantity, long out) {
    return add(EventKind.BACK, quantity * Quantity.ONE, 0, out);
  }

  Story charge(long value, long arrival) {
    charges.merge(arrival, value, Long::sum);
    return add(EventKind.CHARGE, 0, value, arrival);
  }

  Story revalue(long value) {
    return add(EventKind.REVALUE, 0, value, 0);
  }

  private Story add(EventKind kind, long quantity, long value, long target) {
    long id = before + events.size() + 1;
    LocalDate day = LocalDate.of(2026, 1, 1).plusDays(id);
    events.add(new CostEvent(id, kind, new Position(day, id, Spot.FIRST), quantity, value, target));
    return this;
  }

  List<Booked> fresh() {
    return events.stream()
        .map(e -> new Booked(e, charges.getOrDefault(e.id(), 0L), 0, true))
        .toList();
  }

  Recost by(Method method, boolean mayGoShort) {
    Pool pool = new Pool(method, PoolState.EMPTY, mayGoShort, Past.NONE, Trace.SILENT);
    return Recost.of(pool, List.of(), fresh(), 0);
  }

  Recost by(Method method) {
    return by(method, false);
  }

  /** Minor units that event {@code id} is worth in the end, signed. */
  static long value(Recost recost, long id) {
    return recost.changes().stream()
        .filter(c -> c.event().id() == id)
        .findFirst()
        .orElseThrow()
        .after();
  }

  static long costOfOuts(Recost recost) {
    return -recost.changes().stream()
        .filter(c -> c.event().kind() == EventKind.OUT || c.event().kind() == EventKind.BACK)
        .mapToLong(Recost.Change::after)
        .sum();
  }
}
