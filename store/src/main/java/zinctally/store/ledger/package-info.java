/** Accounts, journals and their sums. */
@NullMarked
package zinctally.store.ledger;

import org.jspecify.annotations.NullMarked;
