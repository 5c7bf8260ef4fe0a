/** Questions that people build: what they can be about, their SQL, and those that are kept. */
@NullMarked
package zinctally.store.question;

import org.jspecify.annotations.NullMarked;
