package zinctally.core.cost;

/**
 * What is left of one arrival; in a moving average pool, of all arrivals together.
 *
 * @param arrival the event it came by; zero in a moving average pool
 * @param quantity millionths left, above zero
 * @param value minor units left
 * @param writtenDown minor units by which that value stands below cost; bounds a reversal (IAS
 *     2.33)
 */
public record Layer(long arrival, long quantity, long value, long writtenDown) {
  Layer without(long part, long worth, long written) {
    return new Layer(arrival, quantity - part, value - worth, writtenDown - written);
  }
}
