package zinctally.core.papers.make;

import java.util.Arrays;
import java.util.Optional;

/** By what the cost of a whole is shared over its parts (IAS 2 paragraph 14). */
public enum Sharing {
  /** What the parts cost at present. */
  COST("cost", "what they cost at present"),
  /** What they are sold for. */
  PRICE("price", "what they are sold for"),
  /** What somebody says each is worth. */
  VALUE("value", "values given for each"),
  /** How many there are. */
  QUANTITY("quantity", "how many they are"),
  /** What somebody says of each line. */
  HAND("hand", "shares typed by hand");

  private final String word;
  private final String words;

  Sharing(String word, String words) {
    this.word = word;
    this.words = words;
  }

  /** As it is kept. */
  public String word() {
    return word;
  }

  /** As it is said. */
  public String words() {
    return words;
  }

  /** The first of them when nothing is said. */
  static Optional<Sharing> of(String typed) {
    if (typed.isEmpty()) return Optional.of(COST);
    return Arrays.stream(values()).filter(s -> s.word.equals(typed)).findFirst();
  }
}
