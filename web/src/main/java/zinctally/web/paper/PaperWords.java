package zinctally.web.paper;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;

/** The words on papers that are handed over, by language. */
public final class PaperWords {
  private static final Map<String, Map<String, String>> BY_LANGUAGE = new HashMap<>();
  private static final ResourceBundle.Control AS_ASKED =
      ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);

  static {
    for (String language : languages().keySet()) {
      ResourceBundle bundle =
          ResourceBundle.getBundle(
              "words.papers", language.equals("en") ? Locale.ROOT : new Locale(language), AS_ASKED);
      Map<String, String> words = new HashMap<>();
      bundle.keySet().forEach(key -> words.put(key, bundle.getString(key)));
      BY_LANGUAGE.put(language, Map.copyOf(words));
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

  /** Words by key; English for a language that is not known. */
  static Map<String, String> in(String language) {
    return BY_LANGUAGE.getOrDefault(language, BY_LANGUAGE.get("en"));
  }
}
