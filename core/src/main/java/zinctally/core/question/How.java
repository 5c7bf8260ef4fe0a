package zinctally.core.question;

/** How a column is taken together where rows are. */
public enum How {
  SUM("sum"),
  AVERAGE("average"),
  LEAST("least"),
  MOST("most"),
  COUNT("how many");

  private final String words;

  How(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
