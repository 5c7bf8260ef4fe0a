/** The pools of the items, their events and checkpoints. */
@NullMarked
package zinctally.store.cost;

import org.jspecify.annotations.NullMarked;
