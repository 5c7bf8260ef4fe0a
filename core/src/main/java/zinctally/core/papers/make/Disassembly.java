package zinctally.core.papers.make;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zinctally.core.number.Spread;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.MakingPlan;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * A whole taken apart. Its cost and the charges are shared over the parts, to the minor unit; a
 * part may come in at a value of its own, as what is worth little beside the rest does at what it
 * would fetch (IAS 2 paragraph 14). What is waste is no part and bears nothing.
 *
 * @param place where the whole is
 * @param into where the parts come to
 */
public record Disassembly(
    LocalDate date, Place place, Place into, Goods whole, List<Part> parts, List<Work> work)
    implements Worked {
  /**
   * @param weight its share of the cost, zero or more
   * @param own minor units it comes in at whatever the whole cost; empty when it shares
   */
  public record Part(Goods goods, long weight, Optional<Long> own) {}

  @Override
  public PaperKind kind() {
    return PaperKind.DISASSEMBLY;
  }

  @Override
  public List<Row> rows() {
    return Stream.of(
            Stream.of(whole.leaving(place)),
            parts.stream().map(p -> p.goods().coming(into).worth(p.own().orElse(0L))),
            work.stream().map(Work::kept))
        .flatMap(rows -> rows)
        .toList();
  }

  @Override
  public Plan plan(Catalogue book) {
    Stocking stock = new Stocking();
    stock.out(whole.row(), 0, whole.item(), place, whole.micros(), 0, whole.numbers());
    List<MakingPlan.Result> results = new ArrayList<>();
    long shared = total();
    for (Part part : parts) {
      Goods goods = part.goods();
      int from = stock.events.size();
      long own = part.own().orElse(0L);
      shared = Math.subtractExact(shared, own);
      stock.in(goods.row(), goods.item(), into, goods.micros(), own, 0, goods.numbers());
      if (part.own().isEmpty())
        results.addAll(shares(stock.events.subList(from, stock.events.size()), part.weight()));
    }
    MakingPlan making = new MakingPlan(shared, results);
    return Plan.making(stock.events, stock.moves, Work.lines(work), List.of(), making);
  }

  /** A line's weight over what came in with it: a serial number is an arrival of its own. */
  private static List<MakingPlan.Result> shares(List<Plan.Event> events, long weight) {
    long[] weights =
        Spread.over(weight, events.stream().mapToLong(e -> e.quantity().micros()).toArray());
    List<MakingPlan.Result> shares = new ArrayList<>();
    for (int i = 0; i < weights.length; i++)
      shares.add(new MakingPlan.Result(events.get(i).item(), events.get(i).spot(), weights[i]));
    return shares;
  }
}
