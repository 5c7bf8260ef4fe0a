package zinctally.core.number;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.Comparator;

/** Sharing an amount over lines to the minor unit. */
public final class Spread {
  private Spread() {}

  /**
   * Parts of {@code amount} in proportion to {@code weights} by largest remainder, ties to the
   * earlier line. The parts always add up to the amount.
   *
   * @param amount minor units, either sign
   * @param weights not negative, at least one above zero
   * @throws IllegalArgumentException when a weight is negative or none is above zero
   */
  public static long[] over(long amount, long[] weights) {
    BigInteger total = BigInteger.ZERO;
    for (long weight : weights) {
      if (weight < 0) throw new IllegalArgumentException("a weight is below zero");
      total = total.add(BigInteger.valueOf(weight));
    }
    if (total.signum() == 0) throw new IllegalArgumentException("no weight is above zero");
    BigInteger size = BigInteger.valueOf(amount).abs();
    long[] parts = new long[weights.length];
    BigInteger[] rests = new BigInteger[weights.length];
    long given = 0;
    for (int i = 0; i < weights.length; i++) {
      BigInteger[] cut = size.multiply(BigInteger.valueOf(weights[i])).divideAndRemainder(total);
      parts[i] = cut[0].longValueExact();
      rests[i] = cut[1];
      given += parts[i];
    }
    Integer[] order = new Integer[weights.length];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, Comparator.comparing((Integer i) -> rests[i]).reversed());
    long left = size.longValueExact() - given;
    for (int i = 0; i < left; i++) parts[order[i]]++;
    if (amount < 0) for (int i = 0; i < parts.length; i++) parts[i] = -parts[i];
    return parts;
  }
}
