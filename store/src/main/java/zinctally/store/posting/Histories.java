package zinctally.store.posting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Booked;
import zinctally.core.cost.Position;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;

/**
 * What pools have to be replayed from, read for many items at one go, some of them ahead. It does
 * not grow with how many there are: what was read is given out once.
 */
final class Histories {
  private static final int AHEAD = 50;

  /**
   * Where a replay begins.
   *
   * @param events those after it, in their order
   */
  record From(PoolHead state, List<Booked> events) {}

  private record Read(Position before, From from) {}

  private final PoolStore pools;
  private final TreeMap<Long, Position> ahead = new TreeMap<>();
  private final Map<Long, Read> read = new HashMap<>();

  Histories(PoolStore pools) {
    this.pools = pools;
  }

  /** An item will be asked about, from the latest state before a position. */
  void willBeAsked(long item, Position before) {
    ahead.put(item, before);
  }

  /** The latest state of an item before a position, and what came after that state. */
  From before(long item, Position before) {
    Read known = read.remove(item);
    if (known != null && known.before.equals(before)) return known.from;
    ahead.put(item, before);
    fetch(item);
    return Objects.requireNonNull(read.remove(item)).from;
  }

  private void fetch(long first) {
    Map<Long, Position> asked = new TreeMap<>();
    asked.put(first, Objects.requireNonNull(ahead.remove(first)));
    Iterator<Map.Entry<Long, Position>> others = ahead.tailMap(first).entrySet().iterator();
    while (others.hasNext() && asked.size() < AHEAD) {
      Map.Entry<Long, Position> other = others.next();
      asked.put(other.getKey(), other.getValue());
      others.remove();
    }
    Map<Long, PoolHead> states = pools.statesBefore(asked);
    Map<Long, @Nullable Position> after = new TreeMap<>();
    states.forEach((item, state) -> after.put(item, state.last()));
    Map<Long, List<Booked>> events = pools.eventsAfter(after);
    asked.forEach(
        (item, before) ->
            read.put(
                item,
                new Read(
                    before,
                    new From(
                        Objects.requireNonNull(states.get(item)),
                        events.getOrDefault(item, new ArrayList<>())))));
  }
}
