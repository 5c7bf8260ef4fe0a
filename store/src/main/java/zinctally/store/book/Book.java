package zinctally.store.book;

import java.time.LocalDate;
import zinctally.core.number.Coin;

/**
 * The book itself.
 *
 * @param closedTo last closed day, or null when no period is closed
 * @param shortStock whether goods may be sold that are not there yet
 * @param taxOnSums whether tax is rounded on the sum of each rate instead of line by line
 * @param address as papers handed over show it, several lines
 * @param taxNumber of the business; empty for none
 * @param bank where customers pay to, as papers say it; empty for nothing
 * @param centres whether it has cost centres, in use or not
 * @param approver the role that approves purchase orders; empty when nobody needs to
 * @param approveFrom minor units with tax; an order that comes to less stands without approval
 */
public record Book(
    String name,
    Coin coin,
    LocalDate cutOver,
    LocalDate closedTo,
    boolean pricesIncludeTax,
    boolean shortStock,
    String approver,
    long approveFrom,
    boolean taxOnSums,
    String address,
    String taxNumber,
    String bank,
    boolean centres) {
  public LocalDate firstOpenDay() {
    return closedTo == null || closedTo.isBefore(cutOver) ? cutOver : closedTo.plusDays(1);
  }
}
