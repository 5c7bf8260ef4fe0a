package zinctally.core.papers.stock;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.function.LongFunction;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Place;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.units.Units;

/** Reads why stock is put right, and what is worth that was found. */
public final class Found {
  private Found() {}

  /**
   * Why; null when that is wrong, or nobody says and it may be so.
   *
   * @param needed whether there must be a reason
   */
  public static @Nullable Reason reason(Reader in, RowReader row, boolean needed) {
    String typed = row.cell("reason");
    if (typed.isEmpty() && !needed) return null;
    Optional<Reason> reason = in.book.reason(typed);
    if (reason.isEmpty())
      row.fault(
          "reason",
          typed.isEmpty()
              ? "For what reason?"
              : "There is no reason \"" + typed + "\"; Set up lists them.");
    return reason.orElse(null);
  }

  /**
   * Minor units of what was found, at the unit cost typed, else at one that is known; 0 for what is
   * gone or not ours, null when no cost is known.
   */
  public static @Nullable Long worth(
      RowReader row,
      Item item,
      Units.Typed quantity,
      @Nullable Place place,
      LongFunction<Optional<Catalogue.LatestCost>> cost) {
    if (quantity.quantity().signum() <= 0 || place != null && !place.ours()) return 0L;
    if (!row.cell("unit_cost").isEmpty()) {
      BigDecimal typed = row.unitCost();
      return typed == null ? null : row.amountOf(quantity, typed, BigDecimal.ZERO);
    }
    Optional<Catalogue.LatestCost> known = cost.apply(item.id());
    if (known.isEmpty()) {
      row.fault("unit_cost", "No cost of " + item.name() + " is known yet; at what unit cost?");
      return null;
    }
    return known.get().of(quantity.quantity().micros());
  }
}
