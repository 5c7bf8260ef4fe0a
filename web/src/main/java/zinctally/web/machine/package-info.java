/** The machine the book lies on. */
@NullMarked
package zinctally.web.machine;

import org.jspecify.annotations.NullMarked;
