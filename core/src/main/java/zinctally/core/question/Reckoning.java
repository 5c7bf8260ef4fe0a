package zinctally.core.question;

/** How a column is worked out of others. */
public enum Reckoning {
  SUM("a and b together", 2),
  DIFFERENCE("a less b", 2),
  PRODUCT("a times b", 2),
  RATIO("a for each b", 2),
  PERCENT("a in percent of b", 2),
  SHARE("a in percent of all", 1),
  RUNNING("a added up so far", 1),
  DAYS("days from a to b", 2),
  MONTH("month of a", 1),
  YEAR("year of a", 1),
  WEEK("week of a", 1);

  private final String words;
  private final int columns;

  Reckoning(String words, int columns) {
    this.words = words;
    this.columns = columns;
  }

  public String words() {
    return words;
  }

  /** Of how many columns it is made. */
  public int columns() {
    return columns;
  }

  /** Whether it looks at other rows, so that no other column can be made of it. */
  public boolean ofAll() {
    return this == SHARE || this == RUNNING;
  }
}
