package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.IntFunction;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Booked;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.papers.plan.Plan;
import zinctally.store.cost.PoolStore;

/**
 * Where a job's events stand, which of them go on from an earlier version's, and which charges
 * change. An event that goes on keeps its id, so that what refers to it still does.
 */
final class Placing {
  /**
   * @param paper the earlier paper it belongs to; zero for the job's own
   * @param lot the serial number it is of; zero for none
   */
  record Placed(Booked booked, long contra, long centre, long paper, long lot) {}

  private final TreeMap<Long, List<Placed>> added = new TreeMap<>();
  private final Map<Long, List<Undo.Old>> undone = new HashMap<>();
  private final Map<Long, List<Undo.Entry>> entries = new HashMap<>();
  private final Set<Long> undoneIds = new HashSet<>();
  private final Set<Long> kept = new HashSet<>();
  private final Map<Long, Long> charges = new HashMap<>();
  private final Map<Long, Position> first = new HashMap<>();

  private Placing() {}

  static Placing of(Worker.Job job, IntFunction<List<Long>> newIds, PoolStore pools) {
    Placing placing = new Placing();
    for (Undo.Entry entry : job.undo().entries())
      placing.entries.computeIfAbsent(entry.event(), e -> new ArrayList<>()).add(entry);
    for (Undo.Old old : job.undo().events()) {
      placing.undone.computeIfAbsent(old.item(), i -> new ArrayList<>()).add(old);
      placing.undoneIds.add(old.event().id());
      placing.touch(old.item(), old.event().at());
      placing.charge(old.event(), -1);
    }
    Map<Plan.Event, Undo.Old> goesOn = placing.matches(job.plan().events());
    List<Long> ids = newIds.apply(job.plan().events().size() - goesOn.size());
    Map<Plan.Event, Long> idOf = new java.util.IdentityHashMap<>();
    int next = 0;
    for (Plan.Event planned : job.plan().events()) {
      Undo.Old old = goesOn.get(planned);
      idOf.put(planned, old == null ? ids.get(next++) : old.event().id());
    }
    for (Plan.Event planned : job.plan().events()) {
      Undo.Old old = goesOn.get(planned);
      long id = Objects.requireNonNull(idOf.get(planned));
      long target =
          planned
              .target()
              .event(spot -> Objects.requireNonNull(idOf.get(job.plan().at(spot, planned.item()))));
      LocalDate day = planned.on() == null ? job.date() : planned.on();
      Position at =
          planned.of() == null
              ? new Position(day, job.sequence(), planned.spot())
              : planned.of().at();
      long lot = planned.lot() == null ? 0 : planned.lot().id();
      CostEvent event =
          new CostEvent(
              id, planned.kind(), at, planned.quantity().micros(), planned.value().minor(), target);
      Booked booked = new Booked(event, old == null ? 0 : old.charges(), 0, true);
      long paper = planned.of() == null ? 0 : planned.of().paper();
      placing
          .added
          .computeIfAbsent(planned.item(), i -> new ArrayList<>())
          .add(new Placed(booked, planned.contra(), job.plan().centre(planned), paper, lot));
      if (old != null) placing.kept.add(id);
      placing.touch(planned.item(), at);
      placing.charge(event, 1);
    }
    placing.added.values().forEach(l -> l.sort(Comparator.comparing(p -> p.booked().event().at())));
    for (PoolStore.Placed arrival : pools.positions(placing.charges.keySet()))
      if (!placing.undoneIds.contains(arrival.event())) placing.touch(arrival.item(), arrival.at());
    return placing;
  }

  /**
   * The same serial number, item and kind, on the same line if there is one, else in the order of
   * the lines.
   */
  private Map<Plan.Event, Undo.Old> matches(List<Plan.Event> planned) {
    Map<Plan.Event, Undo.Old> matches = new java.util.IdentityHashMap<>();
    Set<Long> taken = new HashSet<>();
    for (boolean sameLine : new boolean[] {true, false})
      for (Plan.Event event : planned) {
        if (matches.containsKey(event)) continue;
        undone.getOrDefault(event.item(), List.of()).stream()
            .filter(old -> !taken.contains(old.event().id()) && old.event().kind() == event.kind())
            .filter(old -> old.lot() == (event.lot() == null ? 0 : event.lot().id()))
            .filter(old -> !sameLine || old.event().at().spot().equals(event.spot()))
            .findFirst()
            .ifPresent(
                old -> {
                  matches.put(event, old);
                  taken.add(old.event().id());
                });
      }
    return matches;
  }

  /** Says that an item's pool changes from a place in event order on. */
  void touch(long item, Position at) {
    first.merge(item, at, (a, b) -> b.before(a) ? b : a);
  }

  private void charge(CostEvent event, int sign) {
    if (event.kind() == EventKind.CHARGE)
      charges.merge(event.target(), sign * event.value(), Math::addExact);
  }

  /** Every item touched, in the order in which pools are locked. */
  TreeSet<Long> items() {
    TreeSet<Long> items = new TreeSet<>(added.keySet());
    items.addAll(undone.keySet());
    return items;
  }

  List<Placed> added(long item) {
    return added.getOrDefault(item, List.of());
  }

  List<Undo.Old> undone(long item) {
    return undone.getOrDefault(item, List.of());
  }

  /** What the stock book has of an event of the earlier version. */
  List<Undo.Entry> entries(Undo.Old old) {
    return entries.getOrDefault(old.event().id(), List.of());
  }

  boolean isUndone(long event) {
    return undoneIds.contains(event);
  }

  /** The earliest event of the item that is touched. */
  @Nullable Position first(long item) {
    return first.get(item);
  }

  /** The event with the charges it has after this. */
  Booked charged(Booked booked) {
    long more = charges.getOrDefault(booked.event().id(), 0L);
    return more == 0
        ? booked
        : new Booked(
            booked.event(), Math.addExact(booked.charges(), more), booked.value(), booked.fresh());
  }

  /** Events of an earlier version that go on. */
  Set<Long> kept() {
    return kept;
  }

  /** By how much each arrival's charges change, minor units. */
  Map<Long, Long> charges() {
    return charges;
  }
}
