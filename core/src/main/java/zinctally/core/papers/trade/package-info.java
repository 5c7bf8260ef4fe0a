/** Bills, invoices and sales at the counter. */
@NullMarked
package zinctally.core.papers.trade;

import org.jspecify.annotations.NullMarked;
