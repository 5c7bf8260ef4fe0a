package zinctally.core.papers.mend;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * A customer's own goods that go back to him, mended or not. What it costs him is invoiced.
 *
 * @param place where they are, as that customer's
 */
public record GivenBack(LocalDate date, Party customer, Place place, String note, List<Line> lines)
    implements Paper {
  /**
   * @param of what of it was taken in with which lines
   */
  public record Line(Mended goods, List<Part> of) {}

  /** Some of what one line took in. */
  public record Part(long awaited, Quantity quantity) {}

  @Override
  public PaperKind kind() {
    return PaperKind.GIVEN_BACK;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(customer);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new GivenBack(date, customer, made.apply(place), note, lines);
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
