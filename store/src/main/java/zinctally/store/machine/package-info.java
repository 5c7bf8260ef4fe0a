/** The machine the book lies on: room, backups. */
@NullMarked
package zinctally.store.machine;

import org.jspecify.annotations.NullMarked;
