/** Find or do. */
@NullMarked
package zinctally.web.find;

import org.jspecify.annotations.NullMarked;
