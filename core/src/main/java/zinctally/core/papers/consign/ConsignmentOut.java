package zinctally.core.papers.consign;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
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
 * Goods of ours that go to a customer on consignment. They stay ours, at the cost they have (IFRS
 * 15 paragraph B77), and are not free; they are invoiced from there when they are sold.
 *
 * @param place where they are
 * @param into the customer's
 */
public record ConsignmentOut(
    LocalDate date, Party who, Place place, Place into, String note, List<Moved> lines)
    implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.CONSIGNMENT_OUT;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new ConsignmentOut(date, made.apply(who), place, into.with(made), note, lines);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new ConsignmentOut(date, who, made.apply(place), made.apply(into), note, lines);
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
    return lines.stream().map(l -> l.at(into)).toList();
  }

  @Override
  public List<Carried> carried() {
    return lines.stream().map(l -> l.carried(place, into)).toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    lines.forEach(line -> line.across(stock, place, into));
    return new Plan(List.of(), stock.moves, List.of(), List.of(), List.of());
  }
}
