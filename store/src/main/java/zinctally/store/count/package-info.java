/** Stock counts: sheets on which several people count at once. */
@NullMarked
package zinctally.store.count;

import org.jspecify.annotations.NullMarked;
