package zinctally.store.posting;

import java.util.List;
import zinctally.core.cost.Position;
import zinctally.core.proof.Proof;
import zinctally.store.cost.PoolStore;

/**
 * A proof's work together with what must be kept of the pools.
 *
 * @param fresh new events: the entry and the plan's line they come from
 */
record Worked(Proof.Work work, List<Proof.StockEntry> fresh, List<PoolAfter> pools) {
  /**
   * @param replayedFrom where a replay began; null when the pool only went on from its head
   */
  record PoolAfter(
      PoolStore.Kept head,
      boolean replayed,
      Position replayedFrom,
      List<PoolStore.Kept> checkpoints) {}
}
