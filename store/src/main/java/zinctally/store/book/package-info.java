/** The book itself and what a reader asks of it. */
@NullMarked
package zinctally.store.book;

import org.jspecify.annotations.NullMarked;
