package zinctally.core.cost;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.LongPredicate;
import zinctally.core.cost.CannotCost.Reason;
import zinctally.core.number.Share;
import zinctally.core.number.Spread;

/**
 * An item's cost pool at work: events go in one by one in event order, each answers with what it
 * was worth. The rules are those of the handbook of costing, section 2; a draw of d from (q, v) is
 * v when d = q, else v x d / q rounded half up, so that a pool without goods never has value.
 *
 * <p>Quantities are millionths of the base unit, values minor units of the book's currency.
 * Overflow throws {@link ArithmeticException}; an event that cannot be where it stands throws
 * {@link CannotCost} and leaves the pool unusable.
 */
public final class Pool {
  private static final Past.Goods NOTHING = new Past.Goods(0, 0);
  private final Method method;
  private final boolean mayGoShort;
  private final Past past;
  private final Trace trace;
  private final ArrayDeque<Layer> layers = new ArrayDeque<>();
  private final List<Uncovered> uncovered = new ArrayList<>();
  private final Map<Long, Past.Goods> arrivals = new HashMap<>();
  private final Map<Long, Past.Goods> gone = new HashMap<>();
  private final Map<Long, Long> costs = new HashMap<>();
  private LongPredicate targeted = event -> true;
  private long latestQuantity;
  private long latestValue;
  private long standardQuantity = 1;
  private long standardValue;

  /**
   * @param start the state to go on from
   * @param mayGoShort whether an out may take more than is there, at a provisional cost
   * @param past answers for events before {@code start}
   */
  public Pool(Method method, PoolState start, boolean mayGoShort, Past past, Trace trace) {
    this.method = method;
    this.mayGoShort = mayGoShort;
    this.past = past;
    this.trace = trace;
    layers.addAll(start.layers());
    uncovered.addAll(start.uncovered());
    latestQuantity = start.latestQuantity();
    latestValue = start.latestValue();
  }

  /** The cost to assume for goods never yet received: {@code value} for {@code quantity}. */
  public Pool withStandardCost(long quantity, long value) {
    standardQuantity = quantity;
    standardValue = value;
    return this;
  }

  /**
   * Says which events others refer to, so that the rest need not be remembered.
   *
   * @param targeted by an event's id
   */
  public Pool remembering(LongPredicate targeted) {
    this.targeted = targeted;
    return this;
  }

  /**
   * Works one event.
   *
   * @param charges for an in or a back, all charges that belong to it, whenever they came; else
   *     ignored
   * @return the signed value: of an in or a back with its charges, minus the cost of an out as
   *     known so far, of a revalue; zero for a charge, which counts at its arrival
   */
  public long apply(CostEvent event, long charges) {
    return switch (event.kind()) {
      case IN -> in(event, Math.addExact(event.value(), charges));
      case OUT -> -out(event);
      case BACK -> back(event, charges);
      case CHARGE -> 0;
      case REVALUE -> revalue(event);
    };
  }

  /** The new whole cost of each out that a later arrival covered, by event. Emptied by reading. */
  public Map<Long, Long> takeCovered() {
    if (costs.isEmpty()) return Map.of();
    Map<Long, Long> changed = new HashMap<>(costs);
    costs.clear();
    return changed;
  }

  public PoolState state() {
    return new PoolState(
        new ArrayList<>(layers), new ArrayList<>(uncovered), latestQuantity, latestValue);
  }

  private long in(CostEvent event, long value) {
    if (value < 0) throw new CannotCost(event, Reason.BELOW_ZERO, value);
    if (targeted.test(event.id()))
      arrivals.put(event.id(), new Past.Goods(event.quantity(), value));
    latestQuantity = event.quantity();
    latestValue = value;
    arrive(event.id(), event.quantity(), value);
    return value;
  }

  private void arrive(long arrival, long quantity, long value) {
    long leftQuantity = quantity;
    long leftValue = value;
    while (leftQuantity > 0 && !uncovered.isEmpty()) {
      Uncovered oldest = uncovered.remove(0);
      long part = Math.min(leftQuantity, oldest.quantity());
      long cost = draw(part, leftQuantity, leftValue);
      long provisional = draw(part, oldest.quantity(), oldest.value());
      leftQuantity -= part;
      leftValue -= cost;
      trace.drew(oldest.out(), 0, -part, -provisional);
      trace.drew(oldest.out(), arrival, part, cost);
      Uncovered rest = oldest.covering(part, provisional, cost);
      costs.put(rest.out(), rest.cost());
      if (rest.quantity() > 0) uncovered.add(0, rest);
      else if (targeted.test(rest.out()))
        gone.put(rest.out(), new Past.Goods(rest.coveredQuantity(), rest.coveredValue()));
    }
    if (leftQuantity > 0) join(arrival, leftQuantity, leftValue);
  }

  private void join(long arrival, long quantity, long value) {
    if (method != Method.AVERAGE || layers.isEmpty()) {
      layers.add(new Layer(method == Method.AVERAGE ? 0 : arrival, quantity, value, 0));
      return;
    }
    Layer all = layers.poll();
    layers.add(
        new Layer(
            0,
            Math.addExact(all.quantity(), quantity),
            Math.addExact(all.value(), value),
            all.writtenDown()));
  }

  private long out(CostEvent event) {
    if (method == Method.SPECIFIC && event.target() == 0)
      throw new CannotCost(event, Reason.NO_TARGET, 0);
    Past.Goods taken = event.target() == 0 ? NOTHING : outOfTarget(event);
    long wanted = event.quantity() - taken.quantity();
    long cost = taken.value();
    while (wanted > 0 && !layers.isEmpty() && method != Method.SPECIFIC) {
      boolean newest = method == Method.LIFO;
      Layer layer = newest ? layers.pollLast() : layers.pollFirst();
      long part = Math.min(wanted, layer.quantity());
      Layer rest = drawFrom(event.id(), layer, part, draw(part, layer.quantity(), layer.value()));
      cost = Math.addExact(cost, layer.value() - rest.value());
      wanted -= part;
      if (rest.quantity() > 0) {
        if (newest) layers.addLast(rest);
        else layers.addFirst(rest);
      }
    }
    if (wanted == 0) {
      if (targeted.test(event.id())) gone.put(event.id(), new Past.Goods(event.quantity(), cost));
      return cost;
    }
    if (!mayGoShort || !layers.isEmpty())
      throw new CannotCost(event, Reason.SHORT, event.quantity() - wanted);
    long provisional = provisional(wanted);
    long whole = Math.addExact(cost, provisional);
    trace.drew(event.id(), 0, wanted, provisional);
    uncovered.add(
        new Uncovered(event.id(), wanted, provisional, event.quantity() - wanted, cost, whole));
    return whole;
  }

  private Past.Goods outOfTarget(CostEvent event) {
    Past.Goods arrival = arrivals.get(event.target());
    if (arrival == null) arrival = past.arrival(event.target());
    if (arrival == null) throw new CannotCost(event, Reason.UNKNOWN_ARRIVAL, 0);
    return method == Method.AVERAGE ? outAtArrivalCost(event, arrival) : outOfLayer(event);
  }

  /**
   * Leaves at the arrival's own unit cost, never more than the pool is worth; a last unit takes
   * all.
   */
  private Past.Goods outAtArrivalCost(CostEvent event, Past.Goods arrival) {
    if (layers.isEmpty()) return NOTHING;
    Layer all = layers.poll();
    long part = Math.min(event.quantity(), all.quantity());
    long own = draw(part, arrival.quantity(), arrival.value());
    long cost = part == all.quantity() ? all.value() : Math.min(own, all.value());
    Layer rest = drawFrom(event.id(), all, part, cost);
    if (rest.quantity() > 0) layers.add(rest);
    return new Past.Goods(part, cost);
  }

  private Past.Goods outOfLayer(CostEvent event) {
    List<Layer> all = new ArrayList<>(layers);
    for (int i = 0; i < all.size(); i++) {
      Layer layer = all.get(i);
      if (layer.arrival() != event.target()) continue;
      long part = Math.min(event.quantity(), layer.quantity());
      Layer rest = drawFrom(event.id(), layer, part, draw(part, layer.quantity(), layer.value()));
      if (rest.quantity() > 0) all.set(i, rest);
      else all.remove(i);
      layers.clear();
      layers.addAll(all);
      return new Past.Goods(part, layer.value() - rest.value());
    }
    return NOTHING;
  }

  private Layer drawFrom(long out, Layer layer, long part, long cost) {
    trace.drew(out, layer.arrival(), part, cost);
    return layer.without(part, cost, draw(part, layer.quantity(), layer.writtenDown()));
  }

  /** Of the latest arrival before it, else the standard cost, else zero. */
  private long provisional(long quantity) {
    return latestQuantity > 0
        ? Share.of(latestValue, quantity, latestQuantity)
        : Share.of(standardValue, quantity, standardQuantity);
  }

  private long back(CostEvent event, long charges) {
    long wanted = event.quantity();
    long cancelled = 0;
    Past.Goods out;
    int at = uncoveredAt(event.target());
    if (at < 0) {
      out = gone.get(event.target());
      if (out == null) out = past.gone(event.target());
      if (out == null) throw new CannotCost(event, Reason.UNKNOWN_OUT, 0);
    } else {
      Uncovered open = uncovered.remove(at);
      out = new Past.Goods(open.coveredQuantity(), open.coveredValue());
      long part = Math.min(wanted, open.quantity());
      cancelled = draw(part, open.quantity(), open.value());
      wanted -= part;
      trace.drew(event.id(), 0, -part, -cancelled);
      if (part < open.quantity()) uncovered.add(at, open.cancelling(part, cancelled));
    }
    if (wanted > out.quantity())
      throw new CannotCost(
          event, Reason.RETURNS_TOO_MUCH, event.quantity() - wanted + out.quantity());
    long returned = draw(wanted, out.quantity(), out.value());
    gone.put(event.target(), new Past.Goods(out.quantity() - wanted, out.value() - returned));
    if (wanted == 0 && charges != 0) throw new CannotCost(event, Reason.NOTHING_TO_REVALUE, 0);
    long worth = Math.addExact(returned, charges);
    if (worth < 0) throw new CannotCost(event, Reason.BELOW_ZERO, returned);
    if (wanted > 0) {
      if (targeted.test(event.id())) arrivals.put(event.id(), new Past.Goods(wanted, worth));
      arrive(event.id(), wanted, worth);
    }
    return Math.addExact(cancelled, worth);
  }

  private int uncoveredAt(long out) {
    for (int i = 0; i < uncovered.size(); i++) if (uncovered.get(i).out() == out) return i;
    return -1;
  }

  /** Over what is on hand by value; never below zero, a reversal never above cost (IAS 2.28-33). */
  private long revalue(CostEvent event) {
    if (event.value() == 0) return 0;
    if (layers.isEmpty()) throw new CannotCost(event, Reason.NOTHING_TO_REVALUE, 0);
    boolean down = event.value() < 0;
    long[] weights = layers.stream().mapToLong(down ? Layer::value : Layer::writtenDown).toArray();
    long room = 0;
    for (long weight : weights) room = Math.addExact(room, weight);
    if (Math.abs(event.value()) > room)
      throw new CannotCost(event, down ? Reason.BELOW_ZERO : Reason.ABOVE_COST, room);
    long[] parts = Spread.over(event.value(), weights);
    List<Layer> changed = new ArrayList<>(layers.size());
    int i = 0;
    for (Layer layer : layers) {
      long part = parts[i++];
      changed.add(
          new Layer(
              layer.arrival(), layer.quantity(), layer.value() + part, layer.writtenDown() - part));
    }
    layers.clear();
    layers.addAll(changed);
    return event.value();
  }

  private static long draw(long part, long quantity, long value) {
    return part == quantity ? value : Share.of(value, part, quantity);
  }
}
