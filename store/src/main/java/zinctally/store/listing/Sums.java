package zinctally.store.listing;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Adds up rows that are at hand, or as they pass. */
public final class Sums {
  private final List<Listing.Column> columns;
  private final Map<String, BigDecimal> sums = new HashMap<>();
  private long rows;

  public Sums(Listing listing) {
    this.columns = listing.summed();
    columns.forEach(c -> sums.put(c.key(), BigDecimal.ZERO));
  }

  public void add(Map<String, Object> row) {
    rows++;
    for (Listing.Column c : columns)
      if (row.get(c.key()) instanceof Number number)
        sums.merge(c.key(), new BigDecimal(number.toString()), BigDecimal::add);
  }

  public Totals totals() {
    return new Totals(rows, true, sums);
  }
}
