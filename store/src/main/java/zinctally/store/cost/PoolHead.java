package zinctally.store.cost;

import org.jspecify.annotations.Nullable;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;

/**
 * An item's pool as it stands after its last event.
 *
 * @param last where that event stands; null before the first
 * @param sinceCheckpoint events worked since the latest checkpoint
 */
public record PoolHead(long item, PoolState state, @Nullable Position last, int sinceCheckpoint) {
  /** Before the first event. */
  public static PoolHead empty(long item) {
    return new PoolHead(item, PoolState.EMPTY, null, 0);
  }
}
