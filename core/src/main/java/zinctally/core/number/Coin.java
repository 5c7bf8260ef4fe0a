package zinctally.core.number;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.Locale;
import java.util.Optional;

/**
 * The currency of a book. Amounts are whole minor units in a {@code long}; this type reads and
 * writes them.
 *
 * @param code ISO 4217 code
 * @param digits places after the point, as ISO 4217 gives them: 0 for JPY, 3 for KWD
 */
public record Coin(String code, int digits) {
  /**
   * @throws IllegalArgumentException when ISO 4217 knows no such currency in use
   */
  public static Coin of(String code) {
    Currency currency = Currency.getInstance(code.trim().toUpperCase(Locale.ROOT));
    if (currency.getDefaultFractionDigits() < 0)
      throw new IllegalArgumentException(code + " is not money one can keep books in");
    return new Coin(currency.getCurrencyCode(), currency.getDefaultFractionDigits());
  }

  /** What somebody has typed as a currency; empty when it is none. */
  public static Optional<Coin> named(String typed) {
    try {
      return Optional.of(of(typed));
    } catch (IllegalArgumentException unknown) {
      return Optional.empty();
    }
  }

  /** The amount as a decimal number with the currency's places. */
  public BigDecimal decimal(long minor) {
    return BigDecimal.valueOf(minor, digits);
  }

  /**
   * Exact reading of a decimal amount.
   *
   * @throws ArithmeticException when it has more places than the currency, or does not fit
   */
  public long minor(BigDecimal amount) {
    return amount.setScale(digits, RoundingMode.UNNECESSARY).unscaledValue().longValueExact();
  }

  /**
   * Rounds half up (away from zero) to the minor unit.
   *
   * @throws ArithmeticException when it does not fit
   */
  public long rounded(BigDecimal amount) {
    return amount.setScale(digits, RoundingMode.HALF_UP).unscaledValue().longValueExact();
  }

  /** A price with the currency's places, and more only as far as they matter. */
  public BigDecimal price(BigDecimal price) {
    BigDecimal bare = price.stripTrailingZeros();
    return bare.scale() < digits ? bare.setScale(digits) : bare;
  }

  /** For people: {@code 48,216.40}, with a real minus sign. */
  public String say(long minor) {
    return Figures.grouped(decimal(minor), digits);
  }

  /** For input cells: plain digits, {@code 48216.40}. */
  public String plain(long minor) {
    return Figures.plain(decimal(minor));
  }

  /**
   * Value for each unit, shown with the currency's places and up to two more where they matter.
   *
   * @param minor value in minor units
   * @param micros millionths of the unit it is shown in, not zero
   */
  public BigDecimal each(long minor, long micros) {
    BigDecimal exact =
        decimal(minor)
            .multiply(BigDecimal.valueOf(Quantity.ONE))
            .divide(BigDecimal.valueOf(micros), digits + 2, RoundingMode.HALF_UP);
    BigDecimal bare = exact.stripTrailingZeros();
    return bare.scale() < digits ? bare.setScale(digits) : bare;
  }
}
