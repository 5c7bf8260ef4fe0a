package zinctally.core.papers.flow;

import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Lot;

/**
 * How much of a line is of which lot or serial number.
 *
 * @param quantity millionths, above zero
 * @param arrival the cost event a serial number came in with, when it goes out; else zero
 */
public record Numbered(Lot lot, long quantity, long arrival) {
  /**
   * Takes the first of them that make up a quantity.
   *
   * @param from loses what is taken
   * @param micros millionths
   */
  public static List<Numbered> take(List<Numbered> from, long micros) {
    List<Numbered> some = new ArrayList<>();
    long wanted = micros;
    while (wanted > 0 && !from.isEmpty()) {
      Numbered first = from.remove(0);
      long part = Math.min(wanted, first.quantity);
      some.add(new Numbered(first.lot, part, first.arrival));
      if (part < first.quantity)
        from.add(0, new Numbered(first.lot, first.quantity - part, first.arrival));
      wanted -= part;
    }
    return some;
  }
}
