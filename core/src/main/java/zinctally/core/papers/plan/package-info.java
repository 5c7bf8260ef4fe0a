/** What a paper wants done. */
@NullMarked
package zinctally.core.papers.plan;

import org.jspecify.annotations.NullMarked;
