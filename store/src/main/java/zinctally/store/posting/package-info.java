/** Proving, posting and undoing papers. */
@NullMarked
package zinctally.store.posting;

import org.jspecify.annotations.NullMarked;
