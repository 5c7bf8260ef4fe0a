/** What suppliers and customers have in common. */
@NullMarked
package zinctally.store.parties;

import org.jspecify.annotations.NullMarked;
