package zinctally.core.number;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * An exact quantity in an item's base unit, kept in millionths.
 *
 * @param micros millionths of the base unit, either sign
 */
public record Quantity(long micros) implements Comparable<Quantity> {
  public static final int PLACES = 6;
  public static final long ONE = 1_000_000;
  public static final Quantity ZERO = new Quantity(0);

  /**
   * @throws ArithmeticException when it has more than six places or does not fit
   */
  public static Quantity of(BigDecimal value) {
    return new Quantity(
        value.setScale(PLACES, RoundingMode.UNNECESSARY).unscaledValue().longValueExact());
  }

  /**
   * @param plain a plain decimal number such as {@code 2.5}
   * @throws ArithmeticException when it has more than six places or does not fit
   */
  public static Quantity of(String plain) {
    return of(new BigDecimal(plain));
  }

  public Quantity plus(Quantity other) {
    return new Quantity(Math.addExact(micros, other.micros));
  }

  public Quantity minus(Quantity other) {
    return new Quantity(Math.subtractExact(micros, other.micros));
  }

  public Quantity negated() {
    return new Quantity(Math.negateExact(micros));
  }

  public int signum() {
    return Long.signum(micros);
  }

  public BigDecimal decimal() {
    return BigDecimal.valueOf(micros, PLACES);
  }

  @Override
  public int compareTo(Quantity other) {
    return Long.compare(micros, other.micros);
  }

  /** Plain digits without idle zeros: {@code 2.5}, {@code -120}. */
  @Override
  public String toString() {
    BigDecimal bare = decimal().stripTrailingZeros();
    return (bare.scale() < 0 ? bare.setScale(0) : bare).toPlainString();
  }
}
