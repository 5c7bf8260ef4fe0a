package zinctally.core.papers.tax;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Row;
import zinctally.core.papers.TaxRate;

/**
 * What a paper sold or bought at a rate of tax.
 *
 * @param side {@link Role#SALES_TAX} of what is sold, {@link Role#PURCHASE_TAX} of what is bought
 * @param rate null where no tax is said
 * @param base minor units without tax; below zero where it takes back
 */
public record Taxed(Role side, @Nullable TaxRate rate, long base) {
  /**
   * What lines come to by rate, in their order.
   *
   * @param sign -1 where they take back
   */
  public static List<Taxed> of(Role side, int sign, List<Row> rows) {
    Map<String, Taxed> sums = new LinkedHashMap<>();
    for (Row row : rows)
      if (row.net() != 0)
        sums.merge(
            row.rate() == null ? "" : row.rate().code(),
            new Taxed(side, row.rate(), sign * row.net()),
            (a, b) -> new Taxed(side, a.rate, Math.addExact(a.base, b.base)));
    return List.copyOf(sums.values());
  }
}
