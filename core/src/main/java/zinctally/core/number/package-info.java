/** Exact figures: quantities, money, shares. */
@NullMarked
package zinctally.core.number;

import org.jspecify.annotations.NullMarked;
