/** Many books served by one program: which is asked, and the house where people find theirs. */
@NullMarked
package zinctally.web.house;

import org.jspecify.annotations.NullMarked;
