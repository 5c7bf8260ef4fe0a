package zinctally.core.papers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;

/** Stock put right, up or down, for reasons that say which account bears it. */
public record Adjustment(LocalDate date, Place place, List<Line> lines) implements Paper {
  /**
   * @param quantity base units; above zero is found, below is gone
   * @param value minor units of what was found; zero for what is gone, whose cost the pool gives
   */
  public record Line(
      int row, Item item, Quantity quantity, String unit, long value, Reason reason, String memo) {}

  @Override
  public PaperKind kind() {
    return PaperKind.ADJUSTMENT;
  }

  @Override
  public List<Item> items() {
    return lines.stream().map(Line::item).toList();
  }

  @Override
  public long total() {
    return 0;
  }

  @Override
  public Plan plan(Catalogue book) {
    List<Plan.Event> events = new ArrayList<>();
    List<Plan.Move> moves = new ArrayList<>();
    for (Line line : lines) {
      long micros = line.quantity().micros();
      EventKind kind = micros > 0 ? EventKind.IN : EventKind.OUT;
      long item = line.item().id();
      moves.add(new Plan.Move(line.row(), item, place.id(), micros));
      events.add(
          new Plan.Event(
              line.row(), kind, item, Math.abs(micros), line.value(), 0, line.reason().account()));
    }
    return new Plan(events, moves, List.of(), List.of(), List.of());
  }
}
