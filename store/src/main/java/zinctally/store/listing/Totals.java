package zinctally.store.listing;

import java.math.BigDecimal;
import java.util.Map;

/**
 * What all rows come to that the filter lets through.
 *
 * @param rows how many there are, or how many were looked at
 * @param whole whether that was all of them; else there are no sums
 * @param sums by column, as they are stored
 */
public record Totals(long rows, boolean whole, Map<String, BigDecimal> sums) {}
