package zinctally.core.goods;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Method;
import zinctally.core.units.Units;

/**
 * What papers need to know of an item; its accounts are the item's own or its group's.
 *
 * @param stockAccount account that carries its worth
 * @param salesAccount account its sales go to
 * @param costAccount account the cost of its sales goes to
 * @param tracking whether its goods are told apart
 * @param weight kilograms of one base unit; null when not known
 * @param saleWording what sale papers call it; empty for its name
 */
public record Item(
    long id,
    String code,
    String name,
    ItemKind kind,
    Units units,
    Method method,
    long stockAccount,
    long salesAccount,
    long costAccount,
    String saleWording,
    String purchaseWording,
    boolean active,
    Tracking tracking,
    @Nullable BigDecimal weight) {
  public boolean stocked() {
    return kind == ItemKind.STOCKED;
  }

  /** Whether papers that move it must say which. */
  public boolean tracked() {
    return tracking != Tracking.NONE;
  }

  /**
   * What some of it weighs, in milligrams.
   *
   * @param micros millionths of the base unit
   * @throws NullPointerException when its weight is not known
   * @throws ArithmeticException when it does not fit
   */
  public long milligrams(long micros) {
    return Objects.requireNonNull(weight)
        .multiply(BigDecimal.valueOf(micros))
        .setScale(0, RoundingMode.HALF_UP)
        .longValueExact();
  }

  /** The same item once it is made. */
  public Item withId(long made) {
    return new Item(
        made,
        code,
        name,
        kind,
        units,
        method,
        stockAccount,
        salesAccount,
        costAccount,
        saleWording,
        purchaseWording,
        active,
        tracking,
        weight);
  }

  /** The same item of another kind. */
  public Item withKind(ItemKind other) {
    return new Item(
        id,
        code,
        name,
        other,
        units,
        method,
        stockAccount,
        salesAccount,
        costAccount,
        saleWording,
        purchaseWording,
        active,
        tracking,
        weight);
  }
}
