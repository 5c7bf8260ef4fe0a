package zinctally.core.ledger;

/** The five kinds of account. */
public enum AccountKind {
  ASSET("asset"),
  LIABILITY("liability"),
  EQUITY("equity"),
  INCOME("income"),
  EXPENSE("expense");

  private final String words;

  AccountKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
