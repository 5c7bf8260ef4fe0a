package zinctally.core.papers.stock;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/** Stock put right, up or down, for reasons that say which account bears it. */
public record Adjustment(LocalDate date, Place place, List<Line> lines) implements Paper {
  /**
   * @param quantity base units; above zero is found, below is gone
   * @param value minor units of what was found; zero for what is gone, whose cost the pool gives
   */
  public record Line(
      int row,
      Item item,
      Quantity quantity,
      String unit,
      long value,
      Reason reason,
      String memo,
      List<Numbered> numbers) {}

  @Override
  public PaperKind kind() {
    return PaperKind.ADJUSTMENT;
  }

  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return Head.of(total());
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), l.item())
                    .on(l.reason().account())
                    .at(place)
                    .worded(l.reason().name() + (l.memo().isEmpty() ? "" : ": " + l.memo()))
                    .of(l.quantity(), l.unit())
                    .worth(l.value()))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    for (Line line : lines)
      stock.upOrDown(
          line.row(),
          line.item(),
          place,
          line.quantity().micros(),
          line.value(),
          line.reason().account(),
          line.numbers());
    return new Plan(stock.events, stock.moves, List.of(), List.of(), List.of());
  }
}
