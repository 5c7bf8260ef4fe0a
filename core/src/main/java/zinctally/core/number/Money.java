package zinctally.core.number;

/**
 * An exact amount in a book's own currency.
 *
 * @param minor whole minor units of the currency, either sign
 */
public record Money(long minor) implements Comparable<Money> {
  public static final Money ZERO = new Money(0);

  /**
   * @throws ArithmeticException when the sum does not fit
   */
  public Money plus(Money other) {
    return new Money(Math.addExact(minor, other.minor));
  }

  /**
   * @throws ArithmeticException when the difference does not fit
   */
  public Money minus(Money other) {
    return new Money(Math.subtractExact(minor, other.minor));
  }

  /**
   * @throws ArithmeticException when it does not fit
   */
  public Money negated() {
    return new Money(Math.negateExact(minor));
  }

  public int signum() {
    return Long.signum(minor);
  }

  @Override
  public int compareTo(Money other) {
    return Long.compare(minor, other.minor);
  }
}
