package zinctally.web.paper.form;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * What a field is chosen from.
 *
 * @param values what goes into the field, with its words, in their order
 * @param most as many of them need no choice, and the field is left out
 */
public record Choice(Supplier<Map<String, String>> values, int most) {
  /** A fixed choice: values and words in turn. */
  public static Choice of(String... valuesAndWords) {
    Map<String, String> values = new LinkedHashMap<>();
    for (int i = 0; i < valuesAndWords.length; i += 2)
      values.put(valuesAndWords[i], valuesAndWords[i + 1]);
    return new Choice(() -> values, 0);
  }

  static Choice from(Supplier<Map<String, String>> values) {
    return new Choice(values, 0);
  }

  public Map<String, String> offered() {
    return values.get();
  }

  /** Whether there is anything to choose. */
  boolean needed() {
    return most == 0 || values.get().size() > most;
  }
}
