/** What a book begins with. */
@NullMarked
package zinctally.core.papers.opening;

import org.jspecify.annotations.NullMarked;
