package zinctally.core.papers.mend;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
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
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * A customer's goods that are here and go to him: his own that were mended, or what he bought and
 * left here. Nothing is booked; what mending costs him is invoiced.
 *
 * @param kind {@link PaperKind#GIVEN_BACK} or {@link PaperKind#HANDED_OVER}
 * @param place where they are, as that customer's
 */
public record GivenBack(
    PaperKind kind, LocalDate date, Party customer, Place place, String note, List<Line> lines)
    implements Paper {
  /**
   * @param of what of it was taken in with which lines
   */
  public record Line(Moved goods, List<Part> of) {}

  /** Some of what one line took in. */
  public record Part(long awaited, Quantity quantity) {}

  @Override
  public Optional<Party> party() {
    return Optional.of(customer);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new GivenBack(kind, date, customer, made.apply(place), note, lines);
  }

  /** It asks for no money. */
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
    return lines.stream().map(l -> l.goods.at(place)).toList();
  }

  @Override
  public List<Carried> carried() {
    return lines.stream().map(l -> l.goods.carried(place, null)).toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    for (Line line : lines)
      stock.others(
          line.goods.row(),
          line.goods.item(),
          place,
          -line.goods.quantity().micros(),
          line.goods.numbers());
    List<Plan.Fill> fills =
        lines.stream()
            .flatMap(
                l ->
                    l.of.stream()
                        .map(
                            p ->
                                new Plan.Fill(
                                    l.goods.row(), p.awaited, p.quantity, Money.ZERO, date)))
            .toList();
    return new Plan(List.of(), stock.moves, List.of(), List.of(), List.of(), List.of(), fills);
  }
}
