package zinctally.core.question;

/** What is asked of a column. */
public enum Match {
  HOLDS("holds", 1),
  BEGINS("begins with", 1),
  IS("is", 1),
  IS_NOT("is not", 1),
  ONE_OF("is one of", 1),
  AT_LEAST("at least", 1),
  AT_MOST("at most", 1),
  MORE("more than", 1),
  LESS("less than", 1),
  BETWEEN("between", 2),
  LAST_DAYS("in the last days", 1),
  NEXT_DAYS("in the next days", 1),
  BELOW("in group and below", 1),
  EMPTY("is empty", 0),
  NOT_EMPTY("is not empty", 0);

  private final String words;
  private final int needs;

  Match(String words, int needs) {
    this.words = words;
    this.needs = needs;
  }

  public String words() {
    return words;
  }

  /** How many values it needs. */
  public int needs() {
    return needs;
  }
}
