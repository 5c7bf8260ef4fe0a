/** Pages of Goods. */
@NullMarked
package zinctally.web.goods;

import org.jspecify.annotations.NullMarked;
