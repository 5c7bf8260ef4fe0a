/** Goods of others here, ours at others: forms, what follows what, settling. */
@NullMarked
package zinctally.web.consign;

import org.jspecify.annotations.NullMarked;
