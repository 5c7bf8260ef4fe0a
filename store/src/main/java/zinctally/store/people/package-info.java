/** Who signs in, and what keeps others out. */
@NullMarked
package zinctally.store.people;

import org.jspecify.annotations.NullMarked;
