package zinctally.core.number;

import java.math.BigInteger;

/** The one division by which costs are shared out. */
public final class Share {
  private Share() {}

  /**
   * {@code value x part / whole}, rounded half up (away from zero for negative values), exact in
   * between however large the product is.
   *
   * @param value minor units of money, either sign
   * @param part millionths of a unit, not negative
   * @param whole millionths of a unit, more than zero
   * @throws ArithmeticException when the result does not fit a long, or whole is not positive
   */
  public static long of(long value, long part, long whole) {
    if (whole <= 0) throw new ArithmeticException("a share needs a whole above zero");
    long high = Math.multiplyHigh(value, part);
    long low = value * part;
    if ((high == 0 && low >= 0) || (high == -1 && low < 0)) return halfUp(low, whole);
    BigInteger product = BigInteger.valueOf(value).multiply(BigInteger.valueOf(part));
    BigInteger twice = product.abs().shiftLeft(1).add(BigInteger.valueOf(whole));
    BigInteger result = twice.divide(BigInteger.valueOf(whole).shiftLeft(1));
    return (product.signum() < 0 ? result.negate() : result).longValueExact();
  }

  private static long halfUp(long product, long whole) {
    long quotient = product / whole;
    long rest = Math.abs(product % whole);
    if (rest < whole - rest) return quotient;
    return product < 0 ? quotient - 1 : quotient + 1;
  }
}
