/** Movements of goods from files. */
@NullMarked
package zinctally.core.moves;

import org.jspecify.annotations.NullMarked;
