package zinctally.web.paper.form;

/**
 * Something that could be meant.
 *
 * @param value goes into the cell
 * @param aside what tells it apart from others
 */
public record Offer(String value, String words, String aside) {
  static Offer of(String value) {
    return new Offer(value, value, "");
  }
}
