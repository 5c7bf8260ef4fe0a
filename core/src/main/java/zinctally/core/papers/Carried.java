package zinctally.core.papers;

import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;

/**
 * Goods taken from one place of ours to another.
 *
 * @param into null when they are nowhere any more
 * @param quantity base units, above zero
 */
public record Carried(Item item, Place from, @Nullable Place into, Quantity quantity) {}
