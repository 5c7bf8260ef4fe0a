/** Questions that somebody has built: what about, what to see, which, and how. */
@NullMarked
package zinctally.core.question;

import org.jspecify.annotations.NullMarked;
