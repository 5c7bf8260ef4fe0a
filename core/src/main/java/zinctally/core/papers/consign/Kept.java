package zinctally.core.papers.consign;

import java.util.List;
import java.util.stream.Stream;
import zinctally.core.goods.Item;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Linking;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods that a customer has bought and that stay here for now. In the books they have gone (IFRS 15
 * paragraphs B79 to B82 say when that is right); here they are the customer's, until they are
 * handed over.
 */
public final class Kept {
  private Kept() {}

  /**
   * @param place where they stay, as the customer's
   * @param micros millionths
   * @param flow of the line
   */
  public static void stay(
      Stocking stock, Linking links, int row, Item item, Place place, long micros, Flow flow) {
    if (micros <= 0) return;
    List<Numbered> numbers =
        Stream.concat(
                flow.numbers().stream(), flow.taken().stream().flatMap(t -> t.numbers().stream()))
            .toList();
    stock.kept(row, item, place, micros, numbers);
    links.wait(row, Awaits.KEPT_HERE, item, Flow.NONE, micros, 0);
  }
}
