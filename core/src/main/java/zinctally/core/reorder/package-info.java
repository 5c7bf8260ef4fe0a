/** When to order again and how much, as experience suggests; never done by itself. */
@NullMarked
package zinctally.core.reorder;

import org.jspecify.annotations.NullMarked;
