package zinctally.web.picture;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;

/** Values up a picture in round steps, zero among them. */
final class Axis {
  private static final int TICKS = 5;
  private final BigDecimal least;
  private final BigDecimal most;
  private final BigDecimal step;
  private final double top;
  private final double length;
  private final Function<BigDecimal, String> say;

  /**
   * @param top where the highest value stands, down from the top of the picture
   * @param length down to the lowest
   */
  Axis(Collection<BigDecimal> values, double top, double length, Function<BigDecimal, String> say) {
    this.top = top;
    this.length = length;
    this.say = say;
    BigDecimal low = BigDecimal.ZERO;
    BigDecimal high = BigDecimal.ZERO;
    for (BigDecimal value : values) {
      low = low.min(value);
      high = high.max(value);
    }
    this.step = step(high.subtract(low));
    this.least = low.divide(step, 0, RoundingMode.FLOOR).multiply(step);
    BigDecimal end = high.divide(step, 0, RoundingMode.CEILING).multiply(step);
    this.most = end.compareTo(least) == 0 ? least.add(step) : end;
  }

  /** A round step: one, two or five times a power of ten. */
  private static BigDecimal step(BigDecimal span) {
    BigDecimal rough =
        span.max(BigDecimal.ONE).divide(BigDecimal.valueOf(TICKS), 6, RoundingMode.UP);
    BigDecimal ten = BigDecimal.ONE.scaleByPowerOfTen(rough.precision() - rough.scale() - 1);
    for (int times : new int[] {1, 2, 5, 10}) {
      BigDecimal step = ten.multiply(BigDecimal.valueOf(times));
      if (step.compareTo(rough) >= 0) return step;
    }
    return ten.multiply(BigDecimal.TEN);
  }

  /** Down from the top. */
  double y(BigDecimal value) {
    double share = value.subtract(least).doubleValue() / most.subtract(least).doubleValue();
    return top + length * (1 - share);
  }

  String said(BigDecimal value) {
    return say.apply(value);
  }

  List<ChartPicture.Tick> ticks() {
    List<ChartPicture.Tick> ticks = new ArrayList<>();
    for (BigDecimal at = least; at.compareTo(most) <= 0; at = at.add(step))
      ticks.add(new ChartPicture.Tick(y(at), say.apply(at)));
    return ticks;
  }
}
