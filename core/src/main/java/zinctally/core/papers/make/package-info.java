/** Goods made of other goods, and goods taken apart. */
@NullMarked
package zinctally.core.papers.make;

import org.jspecify.annotations.NullMarked;
