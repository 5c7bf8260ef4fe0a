package zinctally.core.papers.trade;

import java.util.List;
import zinctally.core.number.Spread;

/**
 * How the cost of goods sent is shared between the invoices that recognise it and what is still to
 * be invoiced (IAS 2 paragraph 34). Worked out again whenever that cost changes: each invoice bears
 * its part of the change, and no cent is left when all is invoiced.
 */
public final class Recognition {
  private Recognition() {}

  /**
   * @param quantity millionths invoiced
   * @param value minor units of cost it has recognised up to now
   */
  public record Part(long quantity, long value) {}

  /**
   * By how much each part's recognised cost changes.
   *
   * @param cost minor units that the goods sent turn out to cost
   * @param sent millionths
   * @return minor units, in the order of the parts
   * @throws IllegalArgumentException when more is invoiced than was sent
   */
  public static long[] changes(long cost, long sent, List<Part> parts) {
    long[] weights = new long[parts.size() + 1];
    long left = sent;
    for (int i = 0; i < parts.size(); i++) {
      weights[i] = parts.get(i).quantity();
      left -= weights[i];
    }
    if (left < 0) throw new IllegalArgumentException("more is invoiced than was sent");
    weights[parts.size()] = left;
    long[] shares = Spread.over(cost, weights);
    long[] changes = new long[parts.size()];
    for (int i = 0; i < changes.length; i++) changes[i] = shares[i] - parts.get(i).value();
    return changes;
  }
}
