package zinctally.store.posting;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.Spot;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Quantity;

/**
 * What a posted paper has done up to now, to be taken back by its next version or its voiding.
 *
 * @param floor nothing is taken back on an earlier day
 * @param entries its cost entries, summed by event and posting date
 * @param lines its journal lines that do not come from cost entries, summed
 * @param moves its quantities, summed by item, place, line, date and lot
 * @param recognised what later changes of cost have moved to cost of goods sold because of it
 */
record Undo(
    long paper,
    LocalDate floor,
    List<Old> events,
    List<Entry> entries,
    List<Line> lines,
    List<Moved> moves,
    List<Line> recognised) {
  static final Undo NOTHING =
      new Undo(0, LocalDate.MIN, List.of(), List.of(), List.of(), List.of(), List.of());

  record Old(long item, CostEvent event, long charges, long contra, long centre, long lot) {}

  record Entry(long event, LocalDate date, long quantity, long value) {}

  record Line(LocalDate date, JournalLine line) {}

  record Moved(long item, long place, Spot spot, LocalDate date, Quantity quantity, long lot) {}

  /** When something of {@code date} is taken back. */
  LocalDate on(LocalDate date) {
    return date.isBefore(floor) ? floor : date;
  }
}
