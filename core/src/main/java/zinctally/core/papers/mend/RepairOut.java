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
 * Goods that go out to be mended. They stay whosever they are and worth what they were; nothing is
 * free of them, and nothing is short.
 *
 * @param repairer null for the bench of the house
 * @param place where they are
 * @param bench where they go
 * @param due the day on which they should be back; null when nobody said
 * @param expected minor units that mending them should cost; zero when nobody said
 */
public record RepairOut(
    LocalDate date,
    @Nullable Party repairer,
    Place place,
    Place bench,
    @Nullable LocalDate due,
    long expected,
    String note,
    List<Moved> lines)
    implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.REPAIR_OUT;
  }

  @Override
  public Optional<Party> party() {
    return Optional.ofNullable(repairer);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    Party who = repairer == null ? null : made.apply(repairer);
    return new RepairOut(date, who, place, bench.with(made), due, expected, note, lines);
  }

  @Override
  public Paper withPlaces(UnaryOperator<Place> made) {
    return new RepairOut(
        date, repairer, made.apply(place), made.apply(bench), due, expected, note, lines);
  }

  /** It asks for no money. */
  @Override
  public long total() {
    return 0;
  }

  @Override
  public Head head() {
    return new Head("", due, place, expected, 0);
  }

  @Override
  public List<Row> rows() {
    return lines.stream().map(l -> l.at(bench)).toList();
  }

  @Override
  public List<Carried> carried() {
    return lines.stream().map(l -> l.carried(place, bench)).toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    lines.forEach(line -> line.across(stock, place, bench));
    long party = repairer == null ? 0 : repairer.id();
    List<Plan.Wait> awaits = lines.stream().map(l -> l.awaited(Awaits.IN_REPAIR, party)).toList();
    return new Plan(List.of(), stock.moves, List.of(), List.of(), List.of(), awaits, List.of());
  }
}
