/** What a paper will do, before it is posted. */
@NullMarked
package zinctally.core.proof;

import org.jspecify.annotations.NullMarked;
