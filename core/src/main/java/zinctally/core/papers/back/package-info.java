/** Goods that go back, and what is credited for them. */
@NullMarked
package zinctally.core.papers.back;

import org.jspecify.annotations.NullMarked;
