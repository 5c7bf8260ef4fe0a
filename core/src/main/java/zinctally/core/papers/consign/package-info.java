/** Goods of suppliers here on consignment, ours at customers', and customers' that stay here. */
@NullMarked
package zinctally.core.papers.consign;

import org.jspecify.annotations.NullMarked;
