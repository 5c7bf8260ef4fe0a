package zinctally.store.goods;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Booked;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Layer;
import zinctally.core.cost.Method;
import zinctally.core.cost.Pool;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;
import zinctally.store.paper.PaperStore;

/** Where each arrival's cost went: worked out again from the latest checkpoint but one. */
@Repository
public class LadderStore {
  private final PoolStore pools;
  private final PaperStore papers;

  LadderStore(PoolStore pools, PaperStore papers) {
    this.pools = pools;
    this.papers = papers;
  }

  /**
   * @param value minor units the arrival was worth with its charges
   * @param left millionths still here
   */
  public record Rung(
      PaperStore.PaperRef paper,
      boolean back,
      long quantity,
      long value,
      List<Draw> draws,
      long left) {}

  /** What one paper took of an arrival. */
  public record Draw(PaperStore.PaperRef paper, long quantity, long value) {}

  /**
   * The latest arrivals, oldest first. A moving average pool has no rungs: its goods share one
   * cost.
   */
  public List<Rung> ladder(long item, Method method, int atMost) {
    if (method == Method.AVERAGE) return List.of();
    PoolHead head = pools.head(item);
    if (head.last() == null) return List.of();
    PoolHead start = pools.stateBefore(item, head.last());
    if (start.last() != null) start = pools.stateBefore(item, start.last());
    List<Booked> events = pools.eventsAfter(item, start.last());
    record Taken(long out, long quantity, long value) {}
    Map<Long, List<Taken>> taken = new LinkedHashMap<>();
    Map<Long, long[]> arrivals = new LinkedHashMap<>();
    start
        .state()
        .layers()
        .forEach(l -> arrivals.put(l.arrival(), new long[] {l.quantity(), l.value(), 0}));
    Pool pool =
        pools.pool(
            item,
            method,
            start,
            true,
            (out, arrival, quantity, value) ->
                taken
                    .computeIfAbsent(arrival, k -> new ArrayList<>())
                    .add(new Taken(out, quantity, value)));
    for (Booked booked : events) {
      long value = pool.apply(booked.event(), booked.charges());
      boolean back = booked.event().kind() == EventKind.BACK;
      if (back || booked.event().kind() == EventKind.IN)
        arrivals.put(
            booked.event().id(), new long[] {booked.event().quantity(), value, back ? 1 : 0});
    }
    Map<Long, Long> left = new LinkedHashMap<>();
    for (Layer layer : pool.state().layers()) left.put(layer.arrival(), layer.quantity());
    List<Long> wanted = new ArrayList<>(arrivals.keySet());
    if (wanted.size() > atMost) wanted = wanted.subList(wanted.size() - atMost, wanted.size());
    List<Long> named = new ArrayList<>(wanted);
    wanted.forEach(a -> taken.getOrDefault(a, List.of()).forEach(t -> named.add(t.out())));
    Map<Long, PaperStore.PaperRef> refs = papers.ofEvents(named);
    return wanted.stream()
        .map(
            a ->
                new Rung(
                    Objects.requireNonNull(refs.get(a)),
                    Objects.requireNonNull(arrivals.get(a))[2] == 1,
                    Objects.requireNonNull(arrivals.get(a))[0],
                    Objects.requireNonNull(arrivals.get(a))[1],
                    taken.getOrDefault(a, List.of()).stream()
                        .map(
                            t ->
                                new Draw(
                                    Objects.requireNonNull(refs.get(t.out())),
                                    t.quantity(),
                                    t.value()))
                        .toList(),
                    left.getOrDefault(a, 0L)))
        .toList();
  }
}
