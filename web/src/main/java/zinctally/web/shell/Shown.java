package zinctally.web.shell;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A form remembers what it showed when it was opened, so that only what was changed in it is
 * written, and what others have changed since stays.
 */
public final class Shown {
  /** The field that remembers. */
  public static final String FIELD = "shown";

  private Shown() {}

  /** What a form shows, as one text. */
  public static String write(Map<String, String> fields) {
    return new TreeMap<>(fields)
        .entrySet().stream()
            .map(f -> encoded(f.getKey()) + "=" + encoded(f.getValue()))
            .collect(Collectors.joining("&"));
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text == null ? "" : text, StandardCharsets.UTF_8);
  }

  /** The fields that were written. */
  public static Map<String, String> read(String text) {
    Map<String, String> fields = new HashMap<>();
    for (String field : text.split("&")) {
      String[] pair = field.split("=", 2);
      if (pair.length == 2)
        fields.put(
            URLDecoder.decode(pair[0], StandardCharsets.UTF_8),
            URLDecoder.decode(pair[1], StandardCharsets.UTF_8));
    }
    return fields;
  }

  /**
   * What was typed, with what others have changed since the form was opened where it was left
   * alone.
   *
   * @param now the fields as they are kept now
   * @param faults gets a sentence for each field that both have changed
   */
  public static Map<String, String> merged(
      Map<String, String> typed, Map<String, String> now, Map<String, String> faults) {
    Map<String, String> merged = new HashMap<>(typed);
    if (!typed.containsKey(FIELD)) return merged;
    Map<String, String> shown = read(typed.get(FIELD));
    for (Map.Entry<String, String> kept : now.entrySet()) {
      String field = kept.getKey();
      if (!typed.containsKey(field)) continue;
      String was = plain(shown.get(field));
      String is = plain(kept.getValue());
      String mine = plain(typed.get(field));
      if (is.equals(was) || is.equals(mine)) continue;
      if (mine.equals(was)) merged.put(field, kept.getValue());
      else
        faults.put(
            field,
            "Somebody has changed this from \""
                + was
                + "\" to \""
                + is
                + "\" since you opened it. Keep again, and yours counts.");
    }
    return merged;
  }

  private static String plain(@Nullable String text) {
    return text == null ? "" : text.replace("\r", "").strip();
  }
}
