/** Seals what was posted and written down, and finds what is no longer as it was sealed. */
@NullMarked
package zinctally.store.seal;

import org.jspecify.annotations.NullMarked;
