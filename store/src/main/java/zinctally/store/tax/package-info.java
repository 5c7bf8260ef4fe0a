/** Tax returns: what waits to be declared, what was, and the boxes it stands in. */
@NullMarked
package zinctally.store.tax;

import org.jspecify.annotations.NullMarked;
