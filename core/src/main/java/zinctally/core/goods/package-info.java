/** What is bought, kept and sold. */
@NullMarked
package zinctally.core.goods;

import org.jspecify.annotations.NullMarked;
