/** Pages of Buy. */
@NullMarked
package zinctally.web.buy;

import org.jspecify.annotations.NullMarked;
