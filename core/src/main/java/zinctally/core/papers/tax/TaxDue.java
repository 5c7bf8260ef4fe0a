package zinctally.core.papers.tax;

import java.util.List;
import zinctally.core.ledger.Role;

/**
 * Tax that no return has declared yet, of one account and rate.
 *
 * @param side {@link Role#SALES_TAX} or {@link Role#PURCHASE_TAX}
 * @param rate its code; empty for none, {@link #BY_HAND} for what was written by hand
 * @param base minor units without tax; below zero where more was taken back
 * @param tax minor units, of sales what is owed, of purchases what is reclaimed
 * @param late whether it is of days before those of the return
 */
public record TaxDue(long account, Role side, String rate, long base, long tax, boolean late) {
  /** Stands for the rate of what a journal by hand wrote on a tax account. */
  public static final String BY_HAND = "by hand";

  /** Minor units it adds to what is to be paid. */
  public long toPay() {
    return side == Role.SALES_TAX ? tax : -tax;
  }

  /**
   * What some come to, minor units; below zero when the office owes it.
   *
   * @throws ArithmeticException when it is more than a long holds
   */
  public static long toPay(List<TaxDue> dues) {
    return dues.stream().mapToLong(TaxDue::toPay).reduce(0, Math::addExact);
  }
}
