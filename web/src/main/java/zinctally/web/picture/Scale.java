package zinctally.web.picture;

import java.util.ArrayList;
import java.util.List;

/**
 * Values along an axis, at round figures.
 *
 * @param most the last of them; at least as much as is to be shown
 * @param ticks from zero to the last
 */
public record Scale(long most, List<Long> ticks) {
  private static final int[] ROUND = {1, 2, 5};

  /**
   * From zero.
   *
   * @param most to be shown, zero or more
   * @param unit the smallest step, such as a whole piece in millionths
   * @param steps about how many
   */
  public static Scale of(long most, long unit, int steps) {
    long step = unit;
    for (int i = 0; step * steps < most; i++) {
      long ten = unit;
      for (int power = 0; power < (i + 1) / ROUND.length; power++)
        ten = Math.multiplyExact(ten, 10);
      step = Math.multiplyExact(ten, ROUND[(i + 1) % ROUND.length]);
    }
    List<Long> ticks = new ArrayList<>();
    long last = 0;
    ticks.add(0L);
    while (last < most || ticks.size() < 2) ticks.add(last = Math.addExact(last, step));
    return new Scale(last, List.copyOf(ticks));
  }

  /** Where a value stands along a length. */
  public double at(long value, double length) {
    return length * value / most;
  }
}
