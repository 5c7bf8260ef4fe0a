package zinctally.core.papers.trade;

import zinctally.core.papers.money.OpenItem;

/**
 * Credit of a customer that pays for part of a counter sale, as when goods are exchanged.
 *
 * @param credit what is open to them
 * @param amount minor units of it that are used, above zero
 */
public record CreditUsed(OpenItem credit, long amount) {}
