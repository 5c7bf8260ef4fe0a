/** Pages of Ask: lists that answer a question. */
@NullMarked
package zinctally.web.ask;

import org.jspecify.annotations.NullMarked;
