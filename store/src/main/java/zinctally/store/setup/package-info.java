/** Accounts, rates, places, reasons. */
@NullMarked
package zinctally.store.setup;

import org.jspecify.annotations.NullMarked;
