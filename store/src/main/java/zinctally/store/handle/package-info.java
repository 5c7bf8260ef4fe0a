/** What happens to goods between buying and selling. */
@NullMarked
package zinctally.store.handle;

import org.jspecify.annotations.NullMarked;
