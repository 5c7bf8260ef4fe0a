package zinctally.core.goods;

/** Whether an item is kept in stock. */
public enum ItemKind {
  STOCKED("stocked goods"),
  NOT_STOCKED("goods not kept in stock"),
  SERVICE("service");

  private final String words;

  ItemKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
