package zinctally.core.papers.mend;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * A customer's own goods, taken in to be mended. They are never ours: they have no cost and no
 * value here, and nobody is offered them.
 *
 * @param place where they are, as that customer's
 * @param due the day on which they are promised back; null when nobody said
 */
public record TakenIn(
    LocalDate date,
    Party customer,
    Place place,
    @Nullable LocalDate due,
    String note,
    List<Moved> lines)
    implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.TAKEN_IN;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(customer);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new TakenIn(date, made.apply(customer), place.with(made), due, note, lines);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new TakenIn(date, customer, made.apply(place), due, note, lines);
  }

  /** It asks for no money. */
  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head("", due, place, 0, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream().map(l -> l.at(place)).toList();
  }

  @Override
  public List<Carried> carried() {
    return lines.stream().map(l -> l.carried(null, place)).toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    for (Moved line : lines)
      stock.others(line.row(), line.item(), place, line.quantity().micros(), line.numbers());
    List<Plan.Wait> awaits =
        lines.stream().map(l -> l.awaited(Awaits.TO_GIVE_BACK, customer.id())).toList();
    return new Plan(List.of(), stock.moves, List.of(), List.of(), List.of(), awaits, List.of());
  }
}
