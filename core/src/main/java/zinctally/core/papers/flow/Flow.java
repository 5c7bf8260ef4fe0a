package zinctally.core.papers.flow;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Place;
import zinctally.core.papers.consign.Restated;
import zinctally.core.papers.consign.Taken;

/**
 * How the goods of a bill's or invoice's line move: with the paper, before it, or after it. All
 * quantities are millionths.
 *
 * @param now what moves with the paper
 * @param before what has come with receipts
 * @param after what is billed before it comes
 * @param ordered what of now and after goes on from orders
 * @param numbers which lots or serial numbers of ours move now
 * @param taken what of now is consigned and becomes ours with it
 * @param restated what is owed otherwise for consigned goods among those before
 */
public record Flow(
    long now,
    List<Portion> before,
    long after,
    List<Portion> ordered,
    List<Numbered> numbers,
    List<Taken> taken,
    List<Restated> restated) {
  /** Of a line that moves nothing. */
  public static final Flow NONE =
      new Flow(0, List.of(), 0, List.of(), List.of(), List.of(), List.of());

  /**
   * Some of what an earlier line waits for.
   *
   * @param value minor units that leave its account with it
   */
  public record Portion(Awaited of, long quantity, long value) {}

  /** Millionths of ours that move now. */
  public long ours() {
    return now - taken.stream().mapToLong(Taken::micros).sum();
  }

  /**
   * What goes from where, as far as it is others' or stays here.
   *
   * @param from where ours go from
   * @param micros millionths that go
   * @param kept where they stay; null when they go
   */
  public List<Carried> carried(Item item, Place from, long micros, @Nullable Place kept) {
    List<Carried> carried = new ArrayList<>();
    long ours = micros - taken.stream().mapToLong(Taken::micros).sum();
    if (kept != null && ours > 0) carried.add(new Carried(item, from, kept, new Quantity(ours)));
    for (Taken some : taken)
      carried.add(new Carried(item, some.from(), kept, new Quantity(some.micros())));
    return carried;
  }

  /** The order whose goods it takes; zero for none. */
  public long order() {
    return agreed().paper();
  }

  /** The order it goes on from; of no paper for none. */
  public Awaited.Order agreed() {
    Awaited of = source();
    return of == null ? Awaited.Order.NONE : of.order();
  }

  /** The earlier line it goes on from, when there is one. */
  public @Nullable Awaited source() {
    return !before.isEmpty() ? before.get(0).of() : !ordered.isEmpty() ? ordered.get(0).of() : null;
  }
}
