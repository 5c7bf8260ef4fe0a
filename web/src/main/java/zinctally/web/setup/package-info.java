/** Pages of Set up. */
@NullMarked
package zinctally.web.setup;

import org.jspecify.annotations.NullMarked;
