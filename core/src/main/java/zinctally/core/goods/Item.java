package zinctally.core.goods;

import zinctally.core.cost.Method;
import zinctally.core.units.Units;

/**
 * What papers need to know of an item; its accounts are the item's own or its group's.
 *
 * @param stockAccount account that carries its worth
 * @param salesAccount account its sales go to
 * @param costAccount account the cost of its sales goes to
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
    boolean active) {
  public boolean stocked() {
    return kind == ItemKind.STOCKED;
  }
}
