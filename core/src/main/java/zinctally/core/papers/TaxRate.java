package zinctally.core.papers;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A rate of tax on sales and purchases.
 *
 * @param percent such as 20 or 5.5
 */
public record TaxRate(long id, String code, String name, BigDecimal percent) {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /** Tax on an amount without tax, minor units, rounded half up. */
  public long onNet(long net) {
    return BigDecimal.valueOf(net)
        .multiply(percent)
        .divide(HUNDRED, 0, RoundingMode.HALF_UP)
        .longValueExact();
  }

  /** Tax within an amount that includes it, minor units, rounded half up. */
  public long within(long gross) {
    return BigDecimal.valueOf(gross)
        .multiply(percent)
        .divide(HUNDRED.add(percent), 0, RoundingMode.HALF_UP)
        .longValueExact();
  }
}
