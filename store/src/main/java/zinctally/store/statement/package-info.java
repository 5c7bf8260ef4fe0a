/**
 * What statements are made of: balances at a day and a moment, headings, and what was handed out.
 */
@NullMarked
package zinctally.store.statement;

import org.jspecify.annotations.NullMarked;
