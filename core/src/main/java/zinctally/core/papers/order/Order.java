package zinctally.core.papers.order;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.trade.Bounds;

/**
 * What is ordered of a supplier, or by a customer. It moves nothing and books nothing; its lines
 * wait for goods and for a bill, or are promised and wait to be invoiced.
 *
 * @param kind {@link PaperKind#PURCHASE_ORDER} or {@link PaperKind#SALES_ORDER}
 * @param expected when the goods should come or go; null when not known
 * @param place where they should come to or go from
 */
public record Order(
    PaperKind kind,
    LocalDate date,
    Party who,
    String reference,
    @Nullable LocalDate expected,
    Place place,
    String notes,
    boolean consigned,
    List<Line> lines)
    implements Ordered {
  /**
   * @param quantity base units
   * @param unit the unit its price is for
   * @param price for one of that unit; null when not known
   * @param discount percent off that price
   * @param net minor units without tax; zero without a price
   * @param rate null for none
   */
  public record Line(
      int row,
      Item item,
      Quantity quantity,
      String unit,
      @Nullable BigDecimal price,
      BigDecimal discount,
      long net,
      long tax,
      @Nullable TaxRate rate) {}

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new Order(
        kind, date, made.apply(who), reference, expected, place, notes, consigned, lines);
  }

  @Override
  public Paper withItems(UnaryOperator<Item> made) {
    List<Line> same =
        lines.stream()
            .map(
                l ->
                    new Line(
                        l.row(),
                        made.apply(l.item()),
                        l.quantity(),
                        l.unit(),
                        l.price(),
                        l.discount(),
                        l.net(),
                        l.tax(),
                        l.rate()))
            .toList();
    return new Order(kind, date, who, reference, expected, place, notes, consigned, same);
  }

  @Override
  public List<Fault> beyond(Allowed allowed, Catalogue book) {
    if (buying()) return List.of();
    Bounds bounds = new Bounds(allowed, book);
    for (Line l : lines)
      bounds.line(
          new Bounds.Line(
              l.row(), l.item(), l.quantity(), l.discount(), l.net(), l.rate(), Awaited.Order.NONE),
          who,
          date);
    return bounds.owes(who, total()).faults();
  }

  public long net() {
    return lines.stream().mapToLong(Line::net).reduce(0, Math::addExact);
  }

  public long tax() {
    return lines.stream().mapToLong(Line::tax).reduce(0, Math::addExact);
  }

  @Override
  public long total() {
    return Math.addExact(net(), tax());
  }

  @Override
  public Head head() {
    return new Head(reference, null, place, net(), tax());
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), l.item())
                    .at(place)
                    .worded(buying() ? l.item().purchaseWording() : l.item().saleWording())
                    .of(l.quantity(), l.unit())
                    .priced(l.price(), l.discount())
                    .worth(l.net(), l.tax(), l.rate()))
        .toList();
  }

  @Override
  public List<Sum> sums() {
    return Sum.of("Total", net(), tax());
  }

  private boolean buying() {
    return kind == PaperKind.PURCHASE_ORDER;
  }

  @Override
  public Plan plan(Catalogue book) {
    List<Plan.Wait> awaits = new ArrayList<>();
    for (Line line : lines) {
      if (consigned) {
        awaits.add(wait(line, Awaits.TO_BE_CONSIGNED));
        continue;
      }
      if (line.item().stocked())
        awaits.add(wait(line, buying() ? Awaits.ORDERED_GOODS : Awaits.PROMISED_GOODS));
      awaits.add(wait(line, buying() ? Awaits.ORDERED_BILL : Awaits.PROMISED_INVOICE));
    }
    return new Plan(List.of(), List.of(), List.of(), List.of(), List.of(), awaits, List.of());
  }

  private Plan.Wait wait(Line line, Awaits what) {
    return new Plan.Wait(
        line.row(),
        what,
        line.item().id(),
        who.id(),
        line.quantity(),
        Optional.of(Money.ZERO),
        0,
        0);
  }
}
