package zinctally.core.cost;

import java.time.LocalDate;
import java.util.Comparator;

/**
 * Where an event stands in event order.
 *
 * @param date the event's own date
 * @param sequence given to its paper at first posting and kept when the paper is amended
 * @param spot the event's place within its paper
 */
public record Position(LocalDate date, long sequence, Spot spot) implements Comparable<Position> {
  private static final Comparator<Position> ORDER =
      Comparator.comparing(Position::date)
          .thenComparingLong(Position::sequence)
          .thenComparing(Position::spot);

  @Override
  public int compareTo(Position other) {
    return ORDER.compare(this, other);
  }

  public boolean before(Position other) {
    return compareTo(other) < 0;
  }
}
