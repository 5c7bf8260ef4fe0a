package zinctally.core.papers;

import java.math.BigDecimal;

/**
 * How far a person goes when selling.
 *
 * @param anyPrice whether under the list's price by as much as they like
 * @param discount percent that may come off the list's price; counts where not any price does
 * @param underCost whether under what the goods cost now
 * @param overLimit whether a customer may owe more than their limit
 */
public record Allowed(boolean anyPrice, BigDecimal discount, boolean underCost, boolean overLimit) {
  /** Who does the books. */
  public static final Allowed ALL = new Allowed(true, BigDecimal.valueOf(100), true, true);

  /**
   * What goods are sold for.
   *
   * @param each for one base unit, without tax
   * @param off percent that the customer is always given
   */
  public record ListPrice(BigDecimal each, BigDecimal off) {}
}
