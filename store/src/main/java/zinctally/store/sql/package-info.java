/** Pieces of SQL that several use. */
@NullMarked
package zinctally.store.sql;

import org.jspecify.annotations.NullMarked;
