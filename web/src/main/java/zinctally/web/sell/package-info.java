/** Pages of Sell, the counter among them. */
@NullMarked
package zinctally.web.sell;

import org.jspecify.annotations.NullMarked;
