package zinctally.core.papers.count;

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

/**
 * What was counted at a place apart from what the book held at the moment of counting. What is
 * missing goes out at its cost, what is over comes in at present cost, as of the day of the count.
 *
 * @param sheet the number of the sheet it was counted on; zero for none
 */
public record StockCount(LocalDate date, Place place, long sheet, List<Line> lines)
    implements Paper {
  /**
   * @param expected base units that the book held when it was counted
   * @param counted base units, from zero
   * @param value minor units of what is over; zero for what is missing, whose cost the pool gives
   * @param reason its name; empty when nobody gave one
   * @param account the reason's; Stock count differences without one
   * @param numbers lots or serial numbers of the difference; empty for an item without
   */
  public record Line(
      int row,
      Item item,
      Quantity expected,
      Quantity counted,
      String unit,
      long value,
      String reason,
      long account,
      String memo,
      List<Numbered> numbers) {
    /** Base units; above zero is over, below is missing. */
    public Quantity apart() {
      return counted.minus(expected);
    }

    private String words(Quantity quantity) {
      return item.units().typed(quantity);
    }

    private String wording() {
      String figures = "counted " + words(counted) + ", expected " + words(expected);
      String why = reason.isEmpty() ? "" : reason + ": ";
      return why + figures + (memo.isEmpty() ? "" : "; " + memo);
    }
  }

  @Override
  public PaperKind kind() {
    return PaperKind.STOCK_COUNT;
  }

  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head("", null, place, 0, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), l.item())
                    .on(l.account())
                    .at(place)
                    .worded(l.wording())
                    .of(l.apart(), l.unit())
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
          line.apart().micros(),
          line.value(),
          line.account(),
          line.numbers());
    return new Plan(stock.events, stock.moves, List.of(), List.of(), List.of());
  }
}
