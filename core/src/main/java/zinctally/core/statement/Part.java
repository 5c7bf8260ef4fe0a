package zinctally.core.statement;

import zinctally.core.ledger.AccountKind;
import zinctally.core.number.Money;

/** The part of the statements that a heading stands in, and with which sign amounts stand there. */
public enum Part {
  ASSETS("Assets", true),
  CLAIMS("Equity and liabilities", false),
  RESULT("Profit and loss", false);

  private final String words;
  private final boolean debit;

  Part(String words, boolean debit) {
    this.words = words;
    this.debit = debit;
  }

  public String words() {
    return words;
  }

  /**
   * A balance, debit above zero, as it stands in this part: what is owned, owed or earned is above.
   */
  Money shown(Money balance) {
    return debit ? balance : balance.negated();
  }

  /** Where an account stands that has no heading. */
  public static Part of(AccountKind kind) {
    return switch (kind) {
      case ASSET -> ASSETS;
      case LIABILITY, EQUITY -> CLAIMS;
      case INCOME, EXPENSE -> RESULT;
    };
  }

  /**
   * Whether accounts of a kind can stand here: what is earned or spent is no part of a position.
   */
  public boolean takes(AccountKind kind) {
    return (of(kind) == RESULT) == (this == RESULT);
  }
}
