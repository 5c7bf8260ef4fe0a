/** The page that opens a book. */
@NullMarked
package zinctally.web.opening;

import org.jspecify.annotations.NullMarked;
