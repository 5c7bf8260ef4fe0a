/** Measures. */
@NullMarked
package zinctally.bench;

import org.jspecify.annotations.NullMarked;
