/** What shows that the books agree. */
@NullMarked
package zinctally.store.prove;

import org.jspecify.annotations.NullMarked;
