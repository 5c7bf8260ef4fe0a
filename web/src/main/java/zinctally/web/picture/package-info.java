/** Pictures, drawn by the server. */
@NullMarked
package zinctally.web.picture;

import org.jspecify.annotations.NullMarked;
