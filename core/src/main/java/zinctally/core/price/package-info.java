/** Prices. */
@NullMarked
package zinctally.core.price;

import org.jspecify.annotations.NullMarked;
