/** What is charged on goods after they came. */
@NullMarked
package zinctally.core.papers.charge;

import org.jspecify.annotations.NullMarked;
