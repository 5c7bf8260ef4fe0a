package zinctally.core.papers.consign;

import zinctally.core.papers.flow.Awaited;

/**
 * What was owed for goods by the price expected when they went, once the price is known.
 *
 * @param of what is owed
 * @param difference minor units more, or less when below zero; not zero
 */
public record Restated(Awaited of, long difference) {}
