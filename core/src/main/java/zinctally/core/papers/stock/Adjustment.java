package zinctally.core.papers.stock;

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

/** Stock put right, up or down, for reasons that say which account bears it. */
public record Adjustment(LocalDate date, Place place, List<Line> lines) implements Paper {
  /**
   * @param quantity base units; above zero is found, below is gone
   */
  public record Line(Quantity quantity, String unit, Reason reason, String memo, PutRight goods) {}

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
                Row.of(l.goods.row(), l.goods.item())
                    .on(l.reason.account())
                    .at(place)
                    .worded(l.reason.name() + (l.memo.isEmpty() ? "" : ": " + l.memo))
                    .of(l.quantity, l.unit)
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
