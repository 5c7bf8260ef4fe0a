/** Signing in, and what a person keeps of himself. */
@NullMarked
package zinctally.web.people;

import org.jspecify.annotations.NullMarked;
