package zinctally.core.papers.read;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.papers.Catalogue;

/** Says what a line earns at the present cost of its goods, and when that is less than nothing. */
public final class Margin {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  private static final String UNDER = ", under its present cost";

  /** What stands before what consigned goods cost, in a sentence about them. */
  public static final String OWED = "; owed for it: ";

  private Margin() {}

  /** The same sentence for somebody who is not to know what goods cost. */
  public static String withoutCost(String says) {
    int owed = says.indexOf(OWED);
    if (owed >= 0) return says.substring(0, owed) + ".";
    int under = says.indexOf(UNDER);
    return under < 0 ? says : says.substring(0, under + UNDER.length()) + ".";
  }

  /**
   * @param net minor units
   */
  public static void say(RowReader row, Item item, long micros, long net) {
    Optional<Catalogue.LatestCost> present = row.book().presentCost(item.id());
    if (present.isEmpty() || micros == 0) return;
    long cost = present.get().of(micros);
    if (net != 0)
      row.beside(
          "margin",
          BigDecimal.valueOf(net - cost)
                  .multiply(HUNDRED)
                  .divide(BigDecimal.valueOf(net), 0, RoundingMode.HALF_UP)
                  .toPlainString()
                  .replace('-', '−')
              + " %");
    if (net >= cost) return;
    int digits = row.book().rules().coin().digits();
    row.note(
        "price",
        item.name()
            + " is sold at "
            + Figures.grouped(row.book().rules().coin().each(net, micros), digits)
            + UNDER
            + " of "
            + Figures.grouped(
                row.book().rules().coin().each(present.get().value(), present.get().micros()),
                digits)
            + ".");
  }
}
