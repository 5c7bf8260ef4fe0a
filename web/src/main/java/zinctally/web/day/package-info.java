/** The page a day begins on. */
@NullMarked
package zinctally.web.day;

import org.jspecify.annotations.NullMarked;
