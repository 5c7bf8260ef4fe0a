package zinctally.core.papers.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.IntToLongFunction;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.JournalLine;
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
 */
public record Plan(
    List<Event> events,
    List<Move> moves,
    List<JournalLine> lines,
    List<Due> dues,
    List<Settlement> settlements,
    List<Wait> awaits,
    List<Fill> fills,
    List<Long> again) {
  /**
   * A line with several events, as one with serial numbers has, numbers them by this: the event's
   * line is the paper's line plus so many times its part.
   */
  public static final long PART = 1_000_000;

  /** The paper's line that an event's line, with its part, belongs to. */
  public static int row(long line) {
    return (int) (line % PART);
  }

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
    this(events, moves, lines, dues, settlements, awaits, fills, List.of());
  }

  /** A plan that has pools worked out again and does nothing else. */
  public static Plan again(List<Long> items) {
    return new Plan(
        List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), items);
  }

  /**
   * @param line the paper's line, from zero, and its part
   * @param quantity millionths
   * @param value minor units, for an in, charge or revalue
   * @param contra account that bears the other side of whatever the event turns out to cost, also
   *     later; zero when the known lines hold it
   * @param of the earlier paper it belongs to; null for the paper itself
   * @param on the day it is of, when that is not the paper's; else null
   * @param target the event it belongs to; {@link #targetInPlan} for one of this plan
   * @param lot the serial number it is of; else null
   */
  public record Event(
      long line,
      EventKind kind,
      long item,
      long quantity,
      long value,
      long target,
      long contra,
      Elsewhere of,
      LocalDate on,
      Lot lot) {
    /** The line of the paper on which it stands. */
    public int row() {
      return Plan.row(line);
    }

    /** The target that means the event of this plan that stands on a line. */
    public static long targetInPlan(long line) {
      return Long.MIN_VALUE + line;
    }

    /** Whether its target is that event of this plan. */
    public boolean targets(Event other) {
      return other != this && other.item == item && target == targetInPlan(other.line);
    }

    public Event(
        long line, EventKind kind, long item, long quantity, long value, long target, long contra) {
      this(line, kind, item, quantity, value, target, contra, null, null, null);
    }

    public Event(
        long line,
        EventKind kind,
        long item,
        long quantity,
        long value,
        long target,
        long contra,
        Elsewhere of) {
      this(line, kind, item, quantity, value, target, contra, of, null, null);
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
   * @param quantity millionths, in above zero, out below
   * @param of the earlier paper it belongs to; null for the paper itself
   * @param lot of a tracked item; else null
   */
  public record Move(long line, long item, long place, long quantity, Elsewhere of, Lot lot) {
    public Move(long line, long item, long place, long quantity) {
      this(line, item, place, quantity, null, null);
    }

    public Move(long line, long item, long place, long quantity, Elsewhere of) {
      this(line, item, place, quantity, of, null);
    }
  }

  /**
   * @param amount minor units; above zero when owed to us, below when we owe
   */
  public record Due(
      long party, String number, LocalDate date, LocalDate due, long amount, Party newParty) {}

  /**
   * @param amount minor units by which the open amount goes towards zero, signed as the item is
   */
  public record Settlement(long openItem, long amount) {}

  /**
   * Something a line waits for.
   *
   * @param quantity millionths
   * @param value minor units at which it stands on its account; zero for an order, {@link #AT_COST}
   *     while the cost of goods that go is not worked out
   * @param orderPaper the order it goes on from; zero for none
   */
  public record Wait(
      int line,
      Awaits what,
      long item,
      long party,
      long quantity,
      long value,
      long orderPaper,
      int orderLine) {
    /** The value of what stands at the cost that its line's goods will turn out to have. */
    public static final long AT_COST = Long.MIN_VALUE;

    /** The same at a cost. */
    public Wait at(long cost) {
      return new Wait(line, what, item, party, quantity, cost, orderPaper, orderLine);
    }
  }

  /**
   * Some of what an earlier paper's line waits for.
   *
   * @param quantity millionths
   * @param value minor units taken off its account
   */
  public record Fill(int line, long awaited, long quantity, long value, LocalDate on) {}

  /** The same with what stands at cost at the cost of its line. */
  public Plan costing(IntToLongFunction costOfLine) {
    List<Wait> costed =
        awaits.stream()
            .map(w -> w.value == Wait.AT_COST ? w.at(costOfLine.applyAsLong(w.line())) : w)
            .toList();
    return new Plan(events, moves, lines, dues, settlements, costed, fills, again);
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
            .map(
                e ->
                    new Event(
                        e.line,
                        e.kind,
                        e.item,
                        e.quantity,
                        e.value,
                        e.target,
                        e.contra,
                        e.of,
                        e.on,
                        made.getOrDefault(e.lot, e.lot)))
            .toList();
    List<Move> withMoves =
        moves.stream()
            .map(
                m ->
                    new Move(
                        m.line, m.item, m.place, m.quantity, m.of, made.getOrDefault(m.lot, m.lot)))
            .toList();
    return new Plan(withEvents, withMoves, lines, dues, settlements, awaits, fills, again);
  }
}
