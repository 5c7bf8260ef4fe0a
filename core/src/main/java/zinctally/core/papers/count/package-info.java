/** Stock counts: what was there, and what the book held. */
@NullMarked
package zinctally.core.papers.count;

import org.jspecify.annotations.NullMarked;
