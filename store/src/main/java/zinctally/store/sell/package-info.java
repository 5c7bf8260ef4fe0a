/** Customers, prices, tills. */
@NullMarked
package zinctally.store.sell;

import org.jspecify.annotations.NullMarked;
