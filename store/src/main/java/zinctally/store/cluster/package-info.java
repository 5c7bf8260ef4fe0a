/** Several database servers that keep one book, of which one is written to at a time. */
@NullMarked
package zinctally.store.cluster;

import org.jspecify.annotations.NullMarked;
