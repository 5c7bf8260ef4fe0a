/** The grammar of papers: what a kind is, what a draft says, and what is read of it. */
@NullMarked
package zinctally.core.papers;

import org.jspecify.annotations.NullMarked;
