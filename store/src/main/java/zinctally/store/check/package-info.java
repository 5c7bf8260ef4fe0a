/** Whether stock book, replay and ledger agree. */
@NullMarked
package zinctally.store.check;

import org.jspecify.annotations.NullMarked;
