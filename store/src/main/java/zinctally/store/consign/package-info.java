/** Goods of others here, and ours at others. */
@NullMarked
package zinctally.store.consign;

import org.jspecify.annotations.NullMarked;
