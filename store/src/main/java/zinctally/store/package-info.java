/** What the book keeps: MariaDB through plain JDBC, and the transaction boundary. */
@NullMarked
package zinctally.store;

import org.jspecify.annotations.NullMarked;
