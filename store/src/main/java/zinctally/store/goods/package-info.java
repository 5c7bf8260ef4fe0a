/** Items, groups, and why they cost what they cost. */
@NullMarked
package zinctally.store.goods;

import org.jspecify.annotations.NullMarked;
