package zinctally.core.papers;

import java.util.List;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.ledger.JournalLine;

/**
 * What a paper wants done, before costs are worked out.
 *
 * @param events what happens to cost pools
 * @param moves what happens to quantities at places
 * @param lines journal lines that are known beforehand
 * @param dues what it makes owed
 * @param settlements what it settles
 */
public record Plan(
    List<Event> events,
    List<Move> moves,
    List<JournalLine> lines,
    List<Due> dues,
    List<Settlement> settlements) {
  /**
   * @param line the paper's line, from zero
   * @param quantity millionths
   * @param value minor units, for an in, charge or revalue
   * @param contra account that bears the other side of whatever the event turns out to cost, also
   *     later; zero when the known lines hold it
   * @param of the earlier paper it belongs to; null for the paper itself
   */
  public record Event(
      int line,
      EventKind kind,
      long item,
      long quantity,
      long value,
      long target,
      long contra,
      Elsewhere of) {
    public Event(
        int line, EventKind kind, long item, long quantity, long value, long target, long contra) {
      this(line, kind, item, quantity, value, target, contra, null);
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
   */
  public record Move(int line, long item, long place, long quantity, Elsewhere of) {
    public Move(int line, long item, long place, long quantity) {
      this(line, item, place, quantity, null);
    }
  }

  /**
   * @param amount minor units; above zero when owed to us, below when we owe
   */
  public record Due(
      long party,
      String number,
      java.time.LocalDate date,
      java.time.LocalDate due,
      long amount,
      Party newParty) {}

  /**
   * @param amount minor units by which the open amount goes towards zero, signed as the item is
   */
  public record Settlement(long openItem, long amount) {}
}
