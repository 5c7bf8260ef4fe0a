package zinctally.core.papers.consign;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods of a supplier that come here on consignment, or go back. They are not ours: nothing is
 * booked, and they have no value here.
 *
 * @param kind {@link PaperKind#CONSIGNMENT_IN} or {@link PaperKind#CONSIGNMENT_BACK}
 * @param theirNumber of their delivery note; may be empty
 * @param place where they are, as that supplier's
 */
public record Consignment(
    PaperKind kind,
    LocalDate date,
    Party who,
    String theirNumber,
    Place place,
    String note,
    List<Line> lines)
    implements Paper {
  /**
   * @param ordered what of it was ordered; empty for goods that go back
   * @param price for one base unit of these pieces alone; null for the list's
   */
  public record Line(Moved goods, List<Flow.Portion> ordered, @Nullable BigDecimal price) {}

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new Consignment(kind, date, who, theirNumber, made.apply(place), note, lines);
  }

  /** It asks for no money. */
  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head(theirNumber, null, place, 0, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream().map(Consignment::row).toList();
  }

  @Override
  public List<Carried> carried() {
    boolean comes = kind == PaperKind.CONSIGNMENT_IN;
    return lines.stream()
        .map(l -> l.goods.carried(comes ? null : place, comes ? place : null))
        .toList();
  }

  private static Row row(Line line) {
    Row row = line.goods.at(null).priced(line.price, BigDecimal.ZERO);
    if (line.ordered.isEmpty()) return row;
    Awaited order = line.ordered.get(0).of();
    return row.from(new Row.From(order.paper(), order.line()));
  }

  @Override
  public Plan plan(Catalogue book) {
    int sign = kind == PaperKind.CONSIGNMENT_IN ? 1 : -1;
    Stocking stock = new Stocking();
    for (Line line : lines) {
      Moved goods = line.goods;
      long micros = sign * goods.quantity().micros();
      stock.others(goods.row(), goods.item(), place, micros, goods.numbers());
    }
    List<Plan.Fill> fills =
        lines.stream()
            .flatMap(
                l ->
                    l.ordered.stream()
                        .map(
                            p ->
                                new Plan.Fill(
                                    l.goods.row(),
                                    p.of().id(),
                                    new Quantity(p.quantity()),
                                    Money.ZERO,
                                    date)))
            .toList();
    return new Plan(List.of(), stock.moves, List.of(), List.of(), List.of(), List.of(), fills);
  }
}
