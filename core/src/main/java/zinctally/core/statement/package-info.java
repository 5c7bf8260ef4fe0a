/**
 * Statements of the ledger: result, position and cash, laid out under headings of the book's own.
 */
@NullMarked
package zinctally.core.statement;

import org.jspecify.annotations.NullMarked;
