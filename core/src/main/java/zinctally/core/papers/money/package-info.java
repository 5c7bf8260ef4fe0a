/** Money that moves, and journals by hand. */
@NullMarked
package zinctally.core.papers.money;

import org.jspecify.annotations.NullMarked;
