package zinctally.web.paper;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.stream.Collectors;
import zinctally.core.units.Unit;

/** The words on papers that are handed over, by language. */
public final class PaperWords {
  private static final Map<String, Words> BY_LANGUAGE = new HashMap<>();
  private static final ResourceBundle.Control AS_ASKED =
      ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);

  static {
    for (String language : languages().keySet()) {
      ResourceBundle bundle =
          ResourceBundle.getBundle(
              "words.papers", language.equals("en") ? Locale.ROOT : new Locale(language), AS_ASKED);
      Map<String, String> words = new HashMap<>();
      bundle.keySet().forEach(key -> words.put(key, bundle.getString(key)));
      BY_LANGUAGE.put(language, new Words(words));
    }
  }

  private PaperWords() {}

  /** Languages a customer's papers can be in, with their names. */
  public static Map<String, String> languages() {
    Map<String, String> languages = new LinkedHashMap<>();
    languages.put("en", "English");
    languages.put("de", "German");
    languages.put("he", "Hebrew");
    return languages;
  }

  /** The language if it is one of ours, else English. */
  public static String known(String language) {
    return languages().containsKey(language) ? language : "en";
  }

  /** A unit's sign in a language; the sign itself where the language has no word of its own. */
  static String unit(Words words, String sign) {
    return words.getOrDefault("unit." + sign, sign);
  }

  /**
   * A quantity in a language: the signs of its base unit and of that unit's part are words of it,
   * what a pack is called is the book's own.
   *
   * @param rec20 the base unit's code
   */
  static String quantity(Words words, String quantity, String rec20) {
    Optional<Unit> base = Unit.read(rec20);
    if (base.isEmpty()) return quantity;
    return Arrays.stream(quantity.split(" "))
        .map(w -> w.equals(base.get().sign()) || w.equals(base.get().part()) ? unit(words, w) : w)
        .collect(Collectors.joining(" "));
  }

  /** Words by key; English for a language that is not known. */
  static Words in(String language) {
    return Objects.requireNonNull(BY_LANGUAGE.get(known(language)));
  }
}
