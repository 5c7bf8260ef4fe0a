/** What goods cost: pools, events, replay. */
@NullMarked
package zinctally.core.cost;

import org.jspecify.annotations.NullMarked;
