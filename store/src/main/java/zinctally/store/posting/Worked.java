package zinctally.store.posting;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.Making;
import zinctally.core.cost.Position;
import zinctally.core.goods.Item;
import zinctally.core.number.Money;
import zinctally.core.proof.Proof;
import zinctally.store.cost.PoolWriter;

/**
 * A proof's work together with what must be kept of the pools.
 *
 * @param fresh new events, and new versions of old ones
 * @param kept which of them were there in an earlier version
 * @param charges by how much the charges of arrivals change
 * @param sent what changes of goods sent before they were invoiced
 * @param right items that were to be worked out again and come out as they are booked
 * @param items all that it speaks of, by id
 * @param making what the paper itself makes; null for nothing
 * @param remade minor units of what was made before and comes out differently, by event
 */
record Worked(
    Proof.Work work,
    List<Fresh> fresh,
    List<PoolAfter> pools,
    Set<Long> kept,
    Map<Long, Long> charges,
    List<SentCosts.Row> sent,
    List<Long> right,
    Map<Long, Item> items,
    @Nullable Making making,
    Map<Long, Long> remade) {
  /** What a line's goods cost that went against an account. */
  Money costOf(int line, long contra) {
    long taken =
        fresh.stream()
            .map(Fresh::entry)
            .filter(e -> e.contra() == contra && e.event().at().spot().line() == line)
            .mapToLong(Proof.StockEntry::value)
            .sum();
    return new Money(-taken);
  }

  /**
   * @param paper the earlier paper the event belongs to; zero for the one being posted
   * @param lot the serial number it is of; zero for none
   */
  record Fresh(Proof.StockEntry entry, long paper, long lot) {}

  /**
   * @param head its position is null when no event is left
   * @param wasShort whether outs stood uncovered before
   * @param replayedFrom where a replay began; null when it began before the first event
   */
  record PoolAfter(
      PoolWriter.Kept head,
      boolean wasShort,
      boolean replayed,
      @Nullable Position replayedFrom,
      List<PoolWriter.Kept> checkpoints) {}
}
