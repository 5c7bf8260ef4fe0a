/** Papers: drafts, proofs, what is posted and printed. */
@NullMarked
package zinctally.web.paper;

import org.jspecify.annotations.NullMarked;
