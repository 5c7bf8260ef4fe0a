package zinctally.core.papers.plan;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.ToLongFunction;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Party;
import zinctally.core.papers.flow.Awaits;

/**
 * What a paper wants done, before costs are worked out.
 *
 * @param events what happens to cost pools
 * @param moves what happens to quantities at places
 * @param lines journal lines that are known beforehand
 * @param dues what it makes owed
 * @param settlements what it settles
 * @param awaits what its lines wait for
 * @param fills what it brings of what earlier papers wait for
 * @param again items whose pools are worked out again from their first event
 * @param making how what it makes gets its worth; null when it makes nothing
 * @param centres the cost centre that bears what a line of the paper earns and costs, by line
 */
public record Plan(
    List<Event> events,
    List<Move> moves,
    List<JournalLine> lines,
    List<Due> dues,
    List<Settlement> settlements,
    List<Wait> awaits,
    List<Fill> fills,
    List<Long> again,
    @Nullable MakingPlan making,
    Map<Integer, Long> centres) {
  public Plan(
      List<Event> events,
      List<Move> moves,
      List<JournalLine> lines,
      List<Due> dues,
      List<Settlement> settlements) {
    this(events, moves, lines, dues, settlements, List.of(), List.of());
  }

  public Plan(
      List<Event> events,
      List<Move> moves,
      List<JournalLine> lines,
      List<Due> dues,
      List<Settlement> settlements,
      List<Wait> awaits,
      List<Fill> fills) {
    this(events, moves, lines, dues, settlements, awaits, fills, List.of(), null, Map.of());
  }

  /** A plan that has pools worked out again and does nothing else. */
  public static Plan again(List<Long> items) {
    return new Plan(
        List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), items, null,
        Map.of());
  }

  /** A plan that makes goods of other goods. */
  public static Plan making(
      List<Event> events,
      List<Move> moves,
      List<JournalLine> lines,
      List<Fill> fills,
      MakingPlan making) {
    return new Plan(
        events, moves, lines, List.of(), List.of(), List.of(), fills, List.of(), making, Map.of());
  }

  /** What an event belongs to. */
  public sealed interface Target {
    /** Nothing in particular. */
    Target NONE = new Earlier(0);

    /** The event it belongs to, zero for none. */
    long event(ToLongFunction<Spot> ofThisPlan);
  }

  /** An event that is posted; zero for none. */
  public record Earlier(long event) implements Target {
    @Override
    public long event(ToLongFunction<Spot> ofThisPlan) {
      return event;
    }
  }

  /** The event of the same item at a spot of the same plan. */
  public record Within(Spot spot) implements Target {
    @Override
    public long event(ToLongFunction<Spot> ofThisPlan) {
      return ofThisPlan.applyAsLong(spot);
    }
  }

  /**
   * @param spot its line of the paper, and which part of the line
   * @param value of an in, charge or revalue
   * @param contra account that bears the other side of whatever the event turns out to cost, also
   *     later; zero when the known lines hold it
   * @param of the earlier paper it belongs to; null for the paper itself
   * @param on the day it is of, when that is not the paper's; else null
   * @param lot the serial number it is of; else null
   */
  public record Event(
      Spot spot,
      EventKind kind,
      long item,
      Quantity quantity,
      Money value,
      Target target,
      long contra,
      @Nullable Elsewhere of,
      @Nullable LocalDate on,
      @Nullable Lot lot) {
    /** Of the paper itself, on its day, of goods without numbers. */
    public Event(
        Spot spot,
        EventKind kind,
        long item,
        Quantity quantity,
        Money value,
        Target target,
        long contra) {
      this(spot, kind, item, quantity, value, target, contra, null, null, null);
    }

    /** The same of an earlier paper. */
    public Event of(Elsewhere earlier) {
      return new Event(spot, kind, item, quantity, value, target, contra, earlier, on, lot);
    }

    private Event of(Lot made) {
      return new Event(spot, kind, item, quantity, value, target, contra, of, on, made);
    }
  }

  /**
   * Where a line stands in event order that is not the paper's own place there.
   *
   * @param paper posted before; zero for the paper itself
   */
  public record Elsewhere(long paper, Position at) {}

  /** A plan that does nothing: what a voided paper comes down to. */
  public static final Plan NOTHING =
      new Plan(List.of(), List.of(), List.of(), List.of(), List.of());

  /**
   * @param quantity in above zero, out below
   * @param of the earlier paper it belongs to; null for the paper itself
   * @param lot of a tracked item; else null
   */
  public record Move(
      Spot spot,
      long item,
      long place,
      Quantity quantity,
      @Nullable Elsewhere of,
      @Nullable Lot lot) {
    /** Of the paper itself, of goods without numbers. */
    public Move(Spot spot, long item, long place, Quantity quantity) {
      this(spot, item, place, quantity, null, null);
    }

    private Move of(Lot made) {
      return new Move(spot, item, place, quantity, of, made);
    }
  }

  /**
   * @param amount above zero when owed to us, below when we owe
   */
  public record Due(
      long party, String number, LocalDate date, LocalDate due, Money amount, Party newParty) {}

  /**
   * @param amount by which the open amount goes towards zero, signed as the item is
   */
  public record Settlement(long openItem, Money amount) {}

  /**
   * Something a line waits for.
   *
   * @param value at which it stands on its account, zero for an order; empty while it is the cost
   *     of goods that go, which is not worked out
   * @param orderPaper the order it goes on from; zero for none
   */
  public record Wait(
      int line,
      Awaits what,
      long item,
      long party,
      Quantity quantity,
      Optional<Money> value,
      long orderPaper,
      int orderLine) {
    /** The same at a cost. */
    public Wait at(Money cost) {
      return new Wait(line, what, item, party, quantity, Optional.of(cost), orderPaper, orderLine);
    }
  }

  /**
   * Some of what an earlier paper's line waits for.
   *
   * @param value taken off its account
   */
  public record Fill(int line, long awaited, Quantity quantity, Money value, LocalDate on) {}

  /**
   * The event of an item at a spot.
   *
   * @throws java.util.NoSuchElementException when there is none
   */
  public Event at(Spot spot, long item) {
    return events.stream()
        .filter(e -> e.item == item && e.spot.equals(spot))
        .findFirst()
        .orElseThrow();
  }

  /** The same with what stands at cost at the cost of its line. */
  public Plan costing(IntFunction<Money> costOfLine) {
    List<Wait> costed =
        awaits.stream().map(w -> w.value.isEmpty() ? w.at(costOfLine.apply(w.line())) : w).toList();
    return new Plan(events, moves, lines, dues, settlements, costed, fills, again, making, centres);
  }

  /** The same, with each line of the paper borne by its cost centre. */
  public Plan borneBy(Map<Integer, Centre> bear) {
    if (bear.isEmpty()) return this;
    Map<Integer, Long> ids = new HashMap<>();
    bear.forEach((row, centre) -> ids.put(row, centre.id()));
    List<JournalLine> borne = lines.stream().map(l -> l.in(ids.getOrDefault(l.row(), 0L))).toList();
    return new Plan(
        events, moves, borne, dues, settlements, awaits, fills, again, making, Map.copyOf(ids));
  }

  /** The cost centre that bears what an event costs; zero for none. */
  public long centre(Event event) {
    return event.of == null ? centres.getOrDefault(event.spot.line(), 0L) : 0;
  }

  /** Lots that are named for the first time. */
  public List<Lot> newLots() {
    return moves.stream().map(Move::lot).filter(l -> l != null && l.id() == 0).distinct().toList();
  }

  /** The same once those are made. */
  public Plan with(Map<Lot, Lot> made) {
    if (made.isEmpty()) return this;
    List<Event> withEvents =
        events.stream()
            .map(e -> e.lot == null ? e : e.of(made.getOrDefault(e.lot, e.lot)))
            .toList();
    List<Move> withMoves =
        moves.stream().map(m -> m.lot == null ? m : m.of(made.getOrDefault(m.lot, m.lot))).toList();
    return new Plan(
        withEvents, withMoves, lines, dues, settlements, awaits, fills, again, making, centres);
  }
}
