/** Suppliers, orders, what repeats and what a cell offers. */
@NullMarked
package zinctally.store.buy;

import org.jspecify.annotations.NullMarked;
