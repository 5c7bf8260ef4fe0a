package zinctally.core.question;

/** What is drawn beside a table. */
public enum Chart {
  NONE("no chart"),
  BARS("bars"),
  LINES("lines"),
  SHARE("shares of the whole");

  private final String words;

  Chart(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
