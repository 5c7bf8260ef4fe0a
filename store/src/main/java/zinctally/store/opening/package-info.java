/** The sheet that opens a book. */
@NullMarked
package zinctally.store.opening;

import org.jspecify.annotations.NullMarked;
