package zinctally.core.statement;

/** What money comes from and goes to (IAS 7, paragraph 10). */
public enum Activity {
  OPERATING("Operating activities"),
  INVESTING("Investing activities"),
  FINANCING("Financing activities");

  private final String words;

  Activity(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
