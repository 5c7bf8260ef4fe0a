/** Accounts and journal entries. */
@NullMarked
package zinctally.core.ledger;

import org.jspecify.annotations.NullMarked;
