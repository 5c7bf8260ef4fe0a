/** Goods that are mended: ours that go out for repair and come back, and customers' own. */
@NullMarked
package zinctally.core.papers.mend;

import org.jspecify.annotations.NullMarked;
