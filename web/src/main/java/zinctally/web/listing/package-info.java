/** The registry of lists, one controller for them, and their files. */
@NullMarked
package zinctally.web.listing;

import org.jspecify.annotations.NullMarked;
