/** Tax: what papers bear of it, the boxes of a return, and the return that settles it. */
@NullMarked
package zinctally.core.papers.tax;

import org.jspecify.annotations.NullMarked;
