/** Goods movement files, and the cost of their moves. */
@NullMarked
package zinctally.store.moves;

import org.jspecify.annotations.NullMarked;
