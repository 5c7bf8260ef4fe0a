/** When to order again and how much, from what was sold and how long goods took to come. */
@NullMarked
package zinctally.store.reorder;

import org.jspecify.annotations.NullMarked;
