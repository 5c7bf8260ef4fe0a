/** Drafts and posted papers. */
@NullMarked
package zinctally.store.paper;

import org.jspecify.annotations.NullMarked;
