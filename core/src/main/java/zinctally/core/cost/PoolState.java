package zinctally.core.cost;

import java.util.List;

/**
 * A cost pool between two events: all that is needed to go on from there.
 *
 * @param layers oldest first
 * @param uncovered oldest first; never together with layers
 * @param latestQuantity millionths of the latest arrival, zero before the first
 * @param latestValue minor units of the latest arrival with its charges
 */
public record PoolState(
    List<Layer> layers, List<Uncovered> uncovered, long latestQuantity, long latestValue) {
  public static final PoolState EMPTY = new PoolState(List.of(), List.of(), 0, 0);

  public PoolState {
    layers = List.copyOf(layers);
    uncovered = List.copyOf(uncovered);
  }

  /** Millionths on hand; below zero when outs stand uncovered. */
  public long onHand() {
    return layers.stream().mapToLong(Layer::quantity).sum()
        - uncovered.stream().mapToLong(Uncovered::quantity).sum();
  }

  /** Minor units by which the goods on hand stand below cost. */
  public long writtenDown() {
    return layers.stream().mapToLong(Layer::writtenDown).sum();
  }

  /** Minor units; below zero when outs stand uncovered. */
  public long worth() {
    return layers.stream().mapToLong(Layer::value).sum()
        - uncovered.stream().mapToLong(Uncovered::value).sum();
  }
}
