/** Fingerprints of what was posted, chained so that nobody changes the past unseen. */
@NullMarked
package zinctally.core.seal;

import org.jspecify.annotations.NullMarked;
