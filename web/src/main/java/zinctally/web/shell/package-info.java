/** What stands around every page. */
@NullMarked
package zinctally.web.shell;

import org.jspecify.annotations.NullMarked;
