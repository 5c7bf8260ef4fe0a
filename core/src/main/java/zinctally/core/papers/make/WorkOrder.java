package zinctally.core.papers.make;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Money;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.order.Ordered;
import zinctally.core.papers.plan.Plan;

/**
 * What is to be made, and of what. It moves and books nothing: its result is on order, its parts
 * are promised to it and no longer free, until assemblies bring them.
 *
 * @param expected when it should be done; null when not known
 * @param place where it is made
 * @param order the sales order or invoice that waits for it; empty for none
 * @param partsCost minor units of its parts at present cost; empty when some has none
 */
public record WorkOrder(
    LocalDate date,
    @Nullable LocalDate expected,
    Place place,
    Goods made,
    List<Goods> parts,
    String notes,
    String order,
    Optional<Long> partsCost)
    implements Ordered {
  @Override
  public PaperKind kind() {
    return PaperKind.WORK_ORDER;
  }

  @Override
  public long total() {
    return partsCost.orElse(0L);
  }

  @Override
  public Head head() {
    return new Head(order, null, place, total(), 0);
  }

  @Override
  public List<Row> rows() {
    return Stream.concat(Stream.of(made), parts.stream()).map(g -> g.coming(place)).toList();
  }

  @Override
  public List<Sum> sums() {
    return partsCost.map(cost -> List.of(new Sum("Parts at present cost", cost))).orElse(List.of());
  }

  @Override
  public Plan plan(Catalogue book) {
    List<Plan.Wait> awaits = new ArrayList<>();
    awaits.add(waits(Awaits.TO_BE_MADE, made));
    for (Goods part : parts) awaits.add(waits(Awaits.PROMISED_PARTS, part));
    return new Plan(List.of(), List.of(), List.of(), List.of(), List.of(), awaits, List.of());
  }

  private static Plan.Wait waits(Awaits what, Goods goods) {
    return new Plan.Wait(
        goods.row(), what, goods.item().id(), 0, goods.quantity(), Optional.of(Money.ZERO), 0, 0);
  }
}
