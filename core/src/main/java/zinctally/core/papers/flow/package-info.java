/** Going on from earlier papers: what waits, and what brings it. */
@NullMarked
package zinctally.core.papers.flow;

import org.jspecify.annotations.NullMarked;
