/** Pages of Handle. */
@NullMarked
package zinctally.web.handle;

import org.jspecify.annotations.NullMarked;
