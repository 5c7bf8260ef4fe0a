package zinctally.store.goods;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Method;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;

/**
 * An item with all that is known of it; also what a form for it holds. Zero for an account: the
 * group's.
 *
 * @param reorderPoint null for none
 * @param weight kilograms of one base unit; null when not known
 * @param standardCost what one base unit is assumed to cost before any has come; null for none
 */
public record ItemCard(
    long id,
    String code,
    String name,
    ItemKind kind,
    long group,
    Method method,
    Units units,
    long stockAccount,
    long salesAccount,
    long costAccount,
    String saleWording,
    String purchaseWording,
    String supplier,
    String supplierCode,
    String gtin,
    String shelf,
    @Nullable Quantity reorderPoint,
    @Nullable Quantity reorderQuantity,
    @Nullable BigDecimal standardCost,
    String notes,
    boolean active,
    Tracking tracking,
    @Nullable BigDecimal weight,
    List<Price> prices) {
  /**
   * @param price for one base unit; null when none is set
   */
  public record Price(long list, String listName, @Nullable BigDecimal price) {}
}
