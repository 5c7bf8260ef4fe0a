/** Units of measure. */
@NullMarked
package zinctally.core.units;

import org.jspecify.annotations.NullMarked;
