package zinctally.core.cost;

import java.util.Comparator;

/**
 * Where an event stands within its paper. A line with several events, as one with serial numbers
 * has, tells them apart by their parts. First parts of all lines come before second parts, so that
 * what a return brings back is there before some of it goes out again.
 *
 * @param line of the paper, from zero
 * @param part of the line, from zero
 */
public record Spot(int line, int part) implements Comparable<Spot> {
  /** Before everything of a paper. */
  public static final Spot FIRST = new Spot(0, 0);

  private static final Comparator<Spot> ORDER =
      Comparator.comparingInt(Spot::part).thenComparingInt(Spot::line);

  @Override
  public int compareTo(Spot other) {
    return ORDER.compare(this, other);
  }
}
