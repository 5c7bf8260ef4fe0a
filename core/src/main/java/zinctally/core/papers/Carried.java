package zinctally.core.papers;

import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;

/**
 * Goods taken from one place to another.
 *
 * @param from null when they were nowhere before
 * @param into null when they are nowhere any more
 * @param quantity base units, above zero
 */
public record Carried(Item item, @Nullable Place from, @Nullable Place into, Quantity quantity) {}
