/** What changes stock without buying or selling it. */
@NullMarked
package zinctally.core.papers.stock;

import org.jspecify.annotations.NullMarked;
