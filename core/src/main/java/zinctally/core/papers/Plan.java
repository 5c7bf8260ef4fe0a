package zinctally.core.papers;

import java.util.List;
import zinctally.core.cost.EventKind;
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
   */
  public record Event(
      int line, EventKind kind, long item, long quantity, long value, long target, long contra) {}

  /**
   * @param quantity millionths, in above zero, out below
   */
  public record Move(int line, long item, long place, long quantity) {}

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
