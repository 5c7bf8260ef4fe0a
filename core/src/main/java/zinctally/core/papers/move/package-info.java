/** Goods that move before or after their bill or invoice. */
@NullMarked
package zinctally.core.papers.move;

import org.jspecify.annotations.NullMarked;
