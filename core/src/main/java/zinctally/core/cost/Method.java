package zinctally.core.cost;

/**
 * How an item's goods share their cost. IAS 2 paragraphs 23 to 25: specific identification, first
 * in first out, or weighted average. {@link #LIFO} is for comparison only; IAS 2 does not allow it.
 */
public enum Method {
  FIFO("first in, first out"),
  AVERAGE("moving average"),
  SPECIFIC("specific identification"),
  LIFO("last in, first out");

  private final String words;

  Method(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
