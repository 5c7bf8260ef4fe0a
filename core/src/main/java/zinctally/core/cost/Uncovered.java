package zinctally.core.cost;

/**
 * An out, or the rest of one, that no goods were there for.
 *
 * @param out the event
 * @param quantity millionths still uncovered
 * @param value minor units, its provisional cost
 * @param coveredQuantity millionths of the out that are covered and have not come back
 * @param coveredValue minor units those cost
 * @param cost minor units, the out's whole cost as known at this point
 */
public record Uncovered(
    long out, long quantity, long value, long coveredQuantity, long coveredValue, long cost) {
  Uncovered covering(long part, long provisional, long actual) {
    return new Uncovered(
        out,
        quantity - part,
        value - provisional,
        coveredQuantity + part,
        Math.addExact(coveredValue, actual),
        cost - provisional + actual);
  }

  Uncovered cancelling(long part, long provisional) {
    return new Uncovered(
        out, quantity - part, value - provisional, coveredQuantity, coveredValue, cost);
  }
}
