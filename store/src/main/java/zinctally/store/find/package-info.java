/** What the page of finding looks through. */
@NullMarked
package zinctally.store.find;

import org.jspecify.annotations.NullMarked;
