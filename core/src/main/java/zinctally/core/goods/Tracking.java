package zinctally.core.goods;

/** Whether an item's goods are told apart. */
public enum Tracking {
  NONE("not told apart"),
  LOT("by lot"),
  SERIAL("by serial number");

  private final String words;

  Tracking(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
