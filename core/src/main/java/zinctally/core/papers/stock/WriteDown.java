package zinctally.core.papers.stock;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/**
 * Goods brought down to net realisable value, item by item (IAS 2 paragraphs 28 and 29), or back up
 * again when that has risen, at most to cost (paragraph 33). The other side is an expense, or takes
 * from it (paragraph 34).
 */
public record WriteDown(LocalDate date, List<Line> lines) implements Paper {
  /**
   * @param change minor units by which the item's worth changes; below zero is a write-down
   */
  public record Line(int row, Item item, long change, String memo) {}

  @Override
  public PaperKind kind() {
    return PaperKind.WRITE_DOWN;
  }

  @Override
  public long total() {
    return lines.stream().mapToLong(Line::change).reduce(0, Math::addExact);
  }

  @Override
  public Head head() {
    return Head.of(total());
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(l -> Row.of(l.row(), l.item()).worded(l.memo()).worth(l.change()))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    long contra = book.account(Role.WRITE_DOWNS).id();
    List<Plan.Event> events =
        lines.stream()
            .map(
                l ->
                    new Plan.Event(
                        new Spot(l.row(), 0),
                        EventKind.REVALUE,
                        l.item().id(),
                        Quantity.ZERO,
                        new Money(l.change()),
                        Plan.Target.NONE,
                        contra))
            .toList();
    return new Plan(events, List.of(), List.of(), List.of(), List.of());
  }
}
