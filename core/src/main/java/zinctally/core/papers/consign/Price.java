package zinctally.core.papers.consign;

import zinctally.core.number.Share;

/**
 * What goods bring.
 *
 * @param gross minor units without discount and tax
 * @param net minor units without tax
 */
public record Price(long gross, long net) {
  /** What some of the goods bring of it. */
  public Price of(long part, long whole) {
    return part == whole
        ? this
        : new Price(Share.of(gross, part, whole), Share.of(net, part, whole));
  }
}
