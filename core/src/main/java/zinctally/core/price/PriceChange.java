package zinctally.core.price;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How many prices are changed in one go: by percent of what they are, or from cost with a markup,
 * rounded half up to a step and then, if wanted, just under it.
 *
 * @param basis what the percent is of
 * @param percent added to the basis, may be below zero; of cost it is the markup
 * @param step what prices are multiples of, above zero
 * @param under taken off a rounded price, such as 0.01 for prices that end in 99; less than the
 *     step
 */
public record PriceChange(Basis basis, BigDecimal percent, BigDecimal step, BigDecimal under) {
  /** What a new price is worked out from. */
  public enum Basis {
    PRICE,
    COST
  }

  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  public PriceChange {
    if (step.signum() <= 0) throw new IllegalArgumentException("a step is above zero");
    if (under.signum() < 0 || under.compareTo(step) >= 0)
      throw new IllegalArgumentException("what is taken off is less than a step");
  }

  /**
   * The new price for one unit; empty when there is nothing to work it out from.
   *
   * @param price today's; null for none
   * @param cost of one unit; null when not known
   */
  public Optional<BigDecimal> of(@Nullable BigDecimal price, @Nullable BigDecimal cost) {
    BigDecimal from = basis == Basis.PRICE ? price : cost;
    if (from == null) return Optional.empty();
    BigDecimal exact = from.multiply(HUNDRED.add(percent)).divide(HUNDRED);
    BigDecimal steps = exact.divide(step, 0, RoundingMode.HALF_UP);
    BigDecimal rounded = steps.multiply(step).subtract(under);
    return Optional.of(rounded.signum() < 0 ? BigDecimal.ZERO : rounded);
  }
}
