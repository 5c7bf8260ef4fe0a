package zinctally.web.ask;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What a thing was and what it became, field by field, as the audit trail has both. */
final class BeforeAfter {
  private BeforeAfter() {}

  /**
   * A field.
   *
   * @param name empty where the text has no fields
   */
  record Field(String name, String before, String after) {
    public boolean changed() {
      return !before.equals(after);
    }
  }

  /** All fields of both, those that changed first. */
  static List<Field> of(String before, String after) {
    Map<String, String> was = fields(before);
    Map<String, String> is = fields(after);
    Set<String> names = new LinkedHashSet<>(was.keySet());
    names.addAll(is.keySet());
    List<Field> all =
        names.stream()
            .map(n -> new Field(n, was.getOrDefault(n, ""), is.getOrDefault(n, "")))
            .toList();
    List<Field> sorted = new ArrayList<>(all.stream().filter(Field::changed).toList());
    all.stream().filter(f -> !f.changed()).forEach(sorted::add);
    return sorted;
  }

  /**
   * {@code Account[code=1000, name=Bank]} by its fields; other text as one field without a name.
   */
  private static Map<String, String> fields(String text) {
    Map<String, String> fields = new LinkedHashMap<>();
    if (text.isEmpty()) return fields;
    if (!text.matches("(?s)\\w+\\[.*]")) {
      fields.put("", text);
      return fields;
    }
    String inner = text.substring(text.indexOf('[') + 1, text.length() - 1);
    int depth = 0;
    int from = 0;
    List<String> parts = new ArrayList<>();
    for (int i = 0; i < inner.length(); i++) {
      char c = inner.charAt(i);
      if (c == '[' || c == '{') depth++;
      else if (c == ']' || c == '}') depth--;
      else if (c == ',' && depth == 0 && inner.substring(i).matches("(?s), \\w+=.*")) {
        parts.add(inner.substring(from, i));
        from = i + 2;
      }
    }
    parts.add(inner.substring(from));
    for (String part : parts) {
      int is = part.indexOf('=');
      if (is > 0) fields.put(words(part.substring(0, is)), said(part.substring(is + 1)));
    }
    return fields;
  }

  /** {@code taxNumber} as {@code tax number}. */
  private static String words(String name) {
    return name.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT);
  }

  private static String said(String value) {
    if (value.equals("null") || value.equals("Optional.empty")) return "";
    return value.startsWith("Optional[") ? value.substring(9, value.length() - 1) : value;
  }
}
