package zinctally.core.papers.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/**
 * An item not kept in stock becomes stocked goods from a date on. What was on hand at the start of
 * that day comes in; what was sold since goes out of it and gets its cost.
 *
 * @param item as it will be: stocked
 * @param other account that bears the other side of what was on hand
 * @param sold lines of invoices since that date
 */
public record StartTracking(
    LocalDate date, Item item, Account other, List<Line> lines, List<Sold> sold) implements Paper {
  /**
   * @param quantity base units, above zero
   * @param value minor units
   */
  public record Line(int row, Place place, Quantity quantity, long value) {}

  /**
   * A line of a posted invoice.
   *
   * @param at where it stands in event order
   * @param quantity millionths
   */
  public record Sold(long paper, Position at, long place, String placeName, long quantity) {}

  @Override
  public PaperKind kind() {
    return PaperKind.START_TRACKING;
  }

  @Override
  public Optional<Item> stocks() {
    return Optional.of(item);
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
        .map(l -> Row.of(l.row(), item).at(l.place()).of(l.quantity(), "").worth(l.value()))
        .toList();
  }

  /** What was there comes in before anything else of its day. */
  @Override
  public Plan plan(Catalogue book) {
    List<Plan.Event> events = new ArrayList<>();
    List<Plan.Move> moves = new ArrayList<>();
    for (Line line : lines) {
      long micros = line.quantity().micros();
      Plan.Elsewhere first = new Plan.Elsewhere(0, new Position(date, 0, line.row()));
      events.add(
          new Plan.Event(line.row(), EventKind.IN, item.id(), micros, line.value(), 0, 0, first));
      moves.add(new Plan.Move(line.row(), item.id(), line.place().id(), micros));
    }
    for (Sold sale : sold) {
      Plan.Elsewhere of = new Plan.Elsewhere(sale.paper(), sale.at());
      events.add(
          new Plan.Event(
              sale.at().line(),
              EventKind.OUT,
              item.id(),
              sale.quantity(),
              0,
              0,
              item.costAccount(),
              of));
      moves.add(new Plan.Move(sale.at().line(), item.id(), sale.place(), -sale.quantity(), of));
    }
    JournalLine against = new JournalLine(other.id(), 0, 0, -total(), "");
    return new Plan(events, moves, List.of(against), List.of(), List.of());
  }

  /** The same item, kept in stock. */
  static Item stocked(Item item) {
    return item.withKind(ItemKind.STOCKED);
  }
}
