/** What is ordered, and what is promised. */
@NullMarked
package zinctally.core.papers.order;

import org.jspecify.annotations.NullMarked;
