package zinctally.core.papers;

import java.math.BigDecimal;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;

/**
 * What a paper says of an item that is made with it, or that it brings a price for.
 *
 * @param item a new one has an id below zero; without a code it waits to be completed
 * @param group its group's name as typed, for a new item; empty for the top group
 * @param price for one base unit on the first price list; null for none
 */
public record Newcomer(Item item, String group, @Nullable BigDecimal price) {
  public boolean isNew() {
    return item.id() < 0;
  }

  /** What tells new items of one paper apart. */
  public static String key(Item item) {
    String key = item.code().isEmpty() ? item.name() : item.code();
    return key.toLowerCase(Locale.ROOT);
  }
}
