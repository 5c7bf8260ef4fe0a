package zinctally.core.cost;

/** Told of every draw while a pool is worked out, for those who want to know where costs went. */
@FunctionalInterface
public interface Trace {
  Trace SILENT = (out, arrival, quantity, value) -> {};

  /**
   * @param arrival the layer's arrival; zero for a moving average pool or a provisional cost
   * @param quantity millionths drawn
   * @param value minor units drawn
   */
  void drew(long out, long arrival, long quantity, long value);
}
