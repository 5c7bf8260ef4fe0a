package zinctally.core.papers;

import zinctally.core.goods.Lot;

/**
 * How much of a line is of which lot or serial number.
 *
 * @param quantity millionths, above zero
 * @param arrival the cost event a serial number came in with, when it goes out; else zero
 */
public record Numbered(Lot lot, long quantity, long arrival) {}
