package zinctally.core.papers.consign;

import java.util.ArrayList;
import java.util.List;
import zinctally.core.number.Share;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Numbered;

/**
 * Goods of a supplier here that become ours at the moment they are sold, or are lost.
 *
 * @param from where they are, as that supplier's
 * @param owner whose they are
 * @param into the same place for ours, through which they go
 * @param micros millionths
 * @param value minor units owed for them
 * @param ours whether they become ours; what is lost and the supplier bears does not
 * @param numbers lots or serial numbers; empty for an item without
 */
public record Taken(
    Place from,
    Party owner,
    Place into,
    long micros,
    long value,
    boolean ours,
    List<Numbered> numbers) {
  /**
   * Takes the first of them that make up a quantity.
   *
   * @param from loses what is taken
   * @param wanted millionths
   */
  public static List<Taken> take(List<Taken> from, long wanted) {
    List<Taken> some = new ArrayList<>();
    long left = wanted;
    while (left > 0 && !from.isEmpty()) {
      Taken first = from.remove(0);
      long part = Math.min(left, first.micros);
      List<Numbered> numbers = new ArrayList<>(first.numbers);
      long value = part == first.micros ? first.value : Share.of(first.value, part, first.micros);
      some.add(first.with(part, value, Numbered.take(numbers, part)));
      if (part < first.micros)
        from.add(0, first.with(first.micros - part, first.value - value, numbers));
      left -= part;
    }
    return some;
  }

  private Taken with(long many, long worth, List<Numbered> which) {
    return new Taken(from, owner, into, many, worth, ours, which);
  }
}
