package zinctally.core.papers.flow;

import java.util.List;
import org.jspecify.annotations.Nullable;
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
