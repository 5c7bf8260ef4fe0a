/** A builder for lists, and the lists by area. */
@NullMarked
package zinctally.store.listing;

import org.jspecify.annotations.NullMarked;
