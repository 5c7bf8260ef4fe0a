package zinctally.core.papers.read;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Figures;
import zinctally.core.units.Units;

/**
 * What comes off the price of one row.
 *
 * @param percent off the price, up to four places
 * @param amount minor units that are left; null when it is too large
 */
public record Discount(BigDecimal percent, @Nullable Long amount) {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /** A row's discount, typed as percent or as the new price: each fills in the other. */
  public static @Nullable Discount read(RowReader row, Units.Typed quantity, BigDecimal price) {
    String typed = row.cell("discount").replace("%", "").strip();
    String at = row.cell("at");
    if (!typed.isEmpty() && !at.isEmpty()) {
      row.fault("at", "Percent off, or the new price: leave one of the two empty.");
      return null;
    }
    if (!at.isEmpty()) return newPrice(row, quantity, price, at);
    if (typed.isEmpty())
      return new Discount(BigDecimal.ZERO, row.amountOf(quantity, price, BigDecimal.ZERO));
    BigDecimal percent = row.amount("discount", typed, 4);
    if (percent == null) return null;
    if (percent.signum() < 0 || percent.compareTo(HUNDRED) > 0) {
      row.fault("discount", "A discount is between 0 and 100 percent.");
      return null;
    }
    BigDecimal left = price.multiply(HUNDRED.subtract(percent)).divide(HUNDRED);
    row.beside("at", Figures.grouped(left, Math.min(4, Math.max(2, left.scale()))));
    return new Discount(percent, row.amountOf(quantity, price, percent));
  }

  private static @Nullable Discount newPrice(
      RowReader row, Units.Typed quantity, BigDecimal price, String typed) {
    BigDecimal at = row.amount("at", typed, 6);
    if (at == null) return null;
    if (at.signum() < 0 || at.compareTo(price) > 0) {
      row.fault("at", "The new price is between 0 and " + Figures.plain(price) + ".");
      return null;
    }
    BigDecimal percent =
        price.signum() == 0
            ? BigDecimal.ZERO
            : price.subtract(at).multiply(HUNDRED).divide(price, 4, RoundingMode.HALF_UP);
    row.beside(
        "discount", Figures.plain(percent.setScale(2, RoundingMode.HALF_UP).stripTrailingZeros()));
    return new Discount(percent, row.amountOf(quantity, at, BigDecimal.ZERO));
  }
}
