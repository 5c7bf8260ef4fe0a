package zinctally.web.paper;

import java.util.Map;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;

/** Rows of drafts that are begun with goods in them. */
public final class ItemRow {
  private ItemRow() {}

  public static Map<String, String> of(Item item, Quantity quantity) {
    return Map.of("item", item.code(), "quantity", item.units().typed(quantity));
  }

  /** The same, going on from an earlier paper of that number. */
  public static Map<String, String> of(Item item, Quantity quantity, String paper) {
    return Map.of("of", paper, "item", item.code(), "quantity", item.units().typed(quantity));
  }
}
