package zinctally.core.papers.opening;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Newcomer;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/** Goods on hand when the books began, with their worth, against Opening clearing. */
public record OpeningStock(LocalDate date, List<Line> lines) implements Paper {
  /**
   * @param item a new one has an id below zero and is made when the paper is posted
   * @param group the group's name as typed, for a new item; may be empty
   * @param quantity base units, may be zero for an item without stock
   * @param value minor units
   * @param sellingPrice for one base unit; null when not given
   */
  public record Line(
      int row,
      Item item,
      String group,
      Quantity quantity,
      long value,
      @Nullable BigDecimal sellingPrice,
      Place place,
      List<Numbered> numbers) {
    private Line of(Item other) {
      return new Line(row, other, group, quantity, value, sellingPrice, place, numbers);
    }
  }

  @Override
  public PaperKind kind() {
    return PaperKind.OPENING_STOCK;
  }

  @Override
  public List<Newcomer> newcomers() {
    return lines.stream()
        .map(l -> new Newcomer(l.item, l.group, l.sellingPrice))
        .filter(n -> n.isNew() || n.price() != null)
        .toList();
  }

  @Override
  public OpeningStock withItems(UnaryOperator<Item> made) {
    return new OpeningStock(date, lines.stream().map(l -> l.of(made.apply(l.item))).toList());
  }

  @Override
  public long total() {
    return lines.stream().mapToLong(Line::value).reduce(0, Math::addExact);
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
                    .at(l.place())
                    .of(l.quantity(), l.item().units().base().sign())
                    .worth(l.value()))
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    long clearing = book.account(Role.OPENING_CLEARING).id();
    Stocking stock = new Stocking();
    for (Line line : lines)
      if (line.quantity().micros() != 0)
        stock.in(
            line.row(),
            line.item(),
            line.place(),
            line.quantity().micros(),
            line.value(),
            0,
            line.numbers());
    JournalLine other = new JournalLine(clearing, 0, 0, new Money(-total()), "");
    return new Plan(stock.events, stock.moves, List.of(other), List.of(), List.of());
  }
}
