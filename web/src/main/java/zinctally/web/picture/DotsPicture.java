package zinctally.web.picture;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.LongFunction;

/**
 * Things as dots: how far right by an amount, in steps of ten times, how far up by a percentage,
 * how large by another amount. What has none of the first stands in a strip of its own.
 *
 * @param right ends of the steps, from left
 * @param up values up the axis
 * @param strip where the strip ends and the steps begin
 * @param zero where nothing stands, down from the top
 */
public record DotsPicture(
    int width,
    int height,
    List<Step> right,
    List<ChartPicture.Tick> up,
    List<Dot> dots,
    double strip,
    double zero) {
  private static final int WIDTH = 820;
  private static final int HEIGHT = 340;
  private static final int LEFT = 84;
  private static final int END = WIDTH - 24;
  private static final int TOP = 22;
  private static final int BOTTOM = 34;
  private static final int STRIP = LEFT + 70;
  private static final double LARGEST = 22;
  private static final double SMALLEST = 4;
  private static final BigDecimal LEAST_SHOWN = BigDecimal.valueOf(-50);
  private static final BigDecimal MOST_SHOWN = BigDecimal.valueOf(100);

  /** A value along the axis below. */
  public record Step(double x, String words) {}

  /** One thing, and where it leads. */
  public record Dot(double x, double y, double radius, int series, String says, String href) {}

  /**
   * A thing.
   *
   * @param along minor units; zero or less stands in the strip
   * @param up percent
   * @param size minor units
   * @param says what stands at it
   */
  public record Thing(long along, BigDecimal up, long size, String says, String href) {}

  /**
   * @param unit the least the first step is, minor units: one of the currency
   * @param sayAlong names an amount, {@code sayUp} a percentage
   */
  public static DotsPicture of(
      List<Thing> things,
      long unit,
      LongFunction<String> sayAlong,
      Function<BigDecimal, String> sayUp) {
    long most = things.stream().mapToLong(Thing::along).max().orElse(0);
    long largest = Math.max(1, things.stream().mapToLong(Thing::size).max().orElse(0));
    long least = things.stream().mapToLong(Thing::along).filter(a -> a > 0).min().orElse(0);
    long first = unit;
    while (first <= least / 10) first *= 10;
    int steps = 1;
    long last = Math.multiplyExact(first, 10);
    while (last < most) {
      last = Math.multiplyExact(last, 10);
      steps++;
    }
    Axis axis =
        new Axis(things.stream().map(t -> shown(t.up)).toList(), TOP, HEIGHT - TOP - BOTTOM, sayUp);
    List<Step> right = new ArrayList<>();
    long at = first;
    for (int i = 0; i <= steps; i++) {
      right.add(new Step(STRIP + (END - STRIP) * i / (double) steps, sayAlong.apply(at)));
      at = Math.multiplyExact(at, 10);
    }
    List<Dot> dots = new ArrayList<>();
    for (Thing t :
        things.stream().sorted(Comparator.comparingLong(Thing::size).reversed()).toList())
      dots.add(
          new Dot(
              x(t.along, first, steps),
              axis.y(t.along > 0 ? shown(t.up) : BigDecimal.ZERO),
              SMALLEST + (LARGEST - SMALLEST) * Math.sqrt(Math.max(0, t.size) / (double) largest),
              t.along > 0 ? 0 : 1,
              t.says,
              t.href));
    return new DotsPicture(
        WIDTH, HEIGHT, right, axis.ticks(), dots, STRIP, axis.y(BigDecimal.ZERO));
  }

  /** What is far out stands at the edge; its words say what it is. */
  private static BigDecimal shown(BigDecimal percent) {
    return percent.max(LEAST_SHOWN).min(MOST_SHOWN);
  }

  private static double x(long along, long first, int steps) {
    if (along <= 0) return (LEFT + STRIP) / 2.0;
    double tens = Math.max(0, Math.log10(along / (double) first));
    return STRIP + (END - STRIP) * Math.min(1, tens / steps);
  }
}
