package zinctally.core.cost;

import org.jspecify.annotations.Nullable;

/** What a pool may ask about events before the state it started from. */
public interface Past {
  /** A pool that starts from nothing has no past. */
  Past NONE =
      new Past() {
        @Override
        public @Nullable Goods arrival(long id) {
          return null;
        }

        @Override
        public @Nullable Goods gone(long id) {
          return null;
        }
      };

  /** An arrival's whole quantity and its value with charges, or null when there is none. */
  @Nullable Goods arrival(long id);

  /** What an out took and has not yet come back, or null when there is no such out. */
  @Nullable Goods gone(long id);

  /**
   * @param quantity millionths
   * @param value minor units
   */
  record Goods(long quantity, long value) {}
}
