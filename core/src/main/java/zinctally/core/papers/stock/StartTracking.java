package zinctally.core.papers.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
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
      Spot spot = new Spot(line.row(), 0);
      Money worth = new Money(line.value());
      events.add(
          new Plan.Event(spot, EventKind.IN, item.id(), line.quantity(), worth, Plan.Target.NONE, 0)
              .of(new Plan.Elsewhere(0, new Position(date, 0, spot))));
      moves.add(new Plan.Move(spot, item.id(), line.place().id(), line.quantity()));
    }
    for (Sold sale : sold) {
      Plan.Elsewhere of = new Plan.Elsewhere(sale.paper(), sale.at());
      Spot spot = sale.at().spot();
      Quantity quantity = new Quantity(sale.quantity());
      events.add(
          new Plan.Event(
                  spot,
                  EventKind.OUT,
                  item.id(),
                  quantity,
                  Money.ZERO,
                  Plan.Target.NONE,
                  item.costAccount())
              .of(of));
      moves.add(new Plan.Move(spot, item.id(), sale.place(), quantity.negated(), of, null));
    }
    JournalLine against = new JournalLine(other.id(), 0, 0, new Money(-total()), "");
    return new Plan(events, moves, List.of(against), List.of(), List.of());
  }

  /** The same item, kept in stock. */
  static Item stocked(Item item) {
    return item.withKind(ItemKind.STOCKED);
  }
}
