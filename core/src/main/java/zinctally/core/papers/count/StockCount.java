package zinctally.core.papers.count;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.consign.Owing;
import zinctally.core.papers.consign.PutRight;
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
   * @param reason its name; empty when nobody gave one
   * @param goods what is over or missing
   */
  public record Line(
      Quantity expected,
      Quantity counted,
      String unit,
      String reason,
      String memo,
      PutRight goods) {
    /** Base units; above zero is over, below is missing. */
    public Quantity apart() {
      return counted.minus(expected);
    }

    private String words(Quantity quantity) {
      return goods.item().units().typed(quantity);
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
                Row.of(l.goods.row(), l.goods.item())
                    .on(l.goods.account())
                    .at(place)
                    .worded(l.wording())
                    .of(l.apart(), l.unit())
                    .worth(l.goods.value()))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    Owing owing = new Owing(book, stock);
    lines.forEach(line -> line.goods.at(place, stock, owing));
    return owing.plan();
  }
}
