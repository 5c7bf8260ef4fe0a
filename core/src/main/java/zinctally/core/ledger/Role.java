package zinctally.core.ledger;

/**
 * What an account is for, where the book must find it by itself. A control account is kept by
 * papers: its balance is the sum of something counted elsewhere.
 */
public enum Role {
  NONE("", AccountKind.EXPENSE, false),
  STOCK("Stock on hand", AccountKind.ASSET, true),
  RECEIVABLES("Trade receivables", AccountKind.ASSET, true),
  PAYABLES("Trade payables", AccountKind.LIABILITY, true),
  RECEIVED_NOT_BILLED("Received, not billed", AccountKind.LIABILITY, true),
  BILLED_NOT_RECEIVED("Billed, not received", AccountKind.ASSET, true),
  SENT_NOT_INVOICED("Sent, not invoiced", AccountKind.ASSET, true),
  BILLED_AHEAD("Billed ahead", AccountKind.LIABILITY, true),
  OWED_FOR_CONSIGNED("Owed for consigned goods", AccountKind.LIABILITY, true),
  OPENING_CLEARING("Opening clearing", AccountKind.EQUITY, true),
  PURCHASE_TAX("Purchase tax", AccountKind.ASSET, false),
  SALES_TAX("Sales tax", AccountKind.LIABILITY, false),
  MONEY("Bank or cash", AccountKind.ASSET, false),
  SALES("Sales", AccountKind.INCOME, false),
  COST_OF_GOODS_SOLD("Cost of goods sold", AccountKind.EXPENSE, false),
  PRICE_DIFFERENCES("Purchase price differences", AccountKind.EXPENSE, false),
  COUNT_DIFFERENCES("Stock count differences", AccountKind.EXPENSE, false),
  WRITE_DOWNS("Stock write-downs", AccountKind.EXPENSE, false),
  SALES_RETURNS("Sales returns", AccountKind.INCOME, false);

  private final String words;
  private final AccountKind kind;
  private final boolean control;

  Role(String words, AccountKind kind, boolean control) {
    this.words = words;
    this.kind = kind;
    this.control = control;
  }

  public String words() {
    return words;
  }

  /** The kind an account in this role must be; of no meaning for {@link #NONE}. */
  public AccountKind kind() {
    return kind;
  }

  public boolean control() {
    return control;
  }
}
