/** What suppliers and customers have in common. */
@NullMarked
package zinctally.web.parties;

import org.jspecify.annotations.NullMarked;
