/**
 * Many books that one program serves: a database and an account each, and a house that has them.
 */
@NullMarked
package zinctally.store.house;

import org.jspecify.annotations.NullMarked;
