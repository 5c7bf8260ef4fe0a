package zinctally.core.papers.trade;

import zinctally.core.ledger.Account;

/**
 * How part of a counter sale is paid.
 *
 * @param account takes it
 * @param amount minor units, above zero; of cash, without the change
 */
public record Tender(Kind kind, Account account, long amount) {
  /** What is handed over. */
  public enum Kind {
    CASH("cash"),
    CARD("card"),
    VOUCHER("voucher");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }
}
