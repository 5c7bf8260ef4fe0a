package zinctally.core.papers.make;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.MakingPlan;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods made of other goods. What is made is worth what its components cost and what was added,
 * also when one of those costs changes later (IAS 2 paragraph 12).
 *
 * @param place where the components are
 * @param into where what is made comes to
 * @param order the work order it does some of
 */
public record Assembly(
    LocalDate date,
    Place place,
    Place into,
    Goods made,
    List<Goods> parts,
    List<Work> work,
    OfWorkOrder order)
    implements Worked {
  @Override
  public PaperKind kind() {
    return PaperKind.ASSEMBLY;
  }

  @Override
  public List<Row> rows() {
    return Stream.of(
            Stream.of(made.coming(into)),
            parts.stream().map(p -> p.leaving(place)),
            work.stream().map(Work::kept))
        .flatMap(rows -> rows)
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    for (Goods part : parts)
      stock.out(part.row(), 0, part.item(), place, part.micros(), 0, part.numbers());
    int from = stock.events.size();
    stock.in(made.row(), made.item(), into, made.micros(), 0, 0, made.numbers());
    List<MakingPlan.Result> results =
        stock.events.subList(from, stock.events.size()).stream()
            .map(e -> new MakingPlan.Result(e.item(), e.spot(), e.quantity().micros()))
            .toList();
    MakingPlan making = new MakingPlan(total(), results);
    return Plan.making(
        stock.events, stock.moves, Work.lines(work), order.fills(made, parts, date), making);
  }
}
