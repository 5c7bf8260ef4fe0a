package zinctally.web.shell;

import java.util.Map;

/** What a form sends, cell by cell. */
public final class Typed {
  private Typed() {}

  /** A cell without blanks at its ends; says so when it is too long. */
  public static String text(
      Map<String, String> typed, String field, int longest, Map<String, String> faults) {
    String value = typed.getOrDefault(field, "").strip();
    if (value.length() > longest)
      faults.put(field, longest + " letters fit; these are " + value.length() + ".");
    return value;
  }

  /** The id that was chosen in a cell; zero for none. */
  public static long id(Map<String, String> typed, String field) {
    String value = typed.getOrDefault(field, "0");
    return value.matches("\\d{1,18}") ? Long.parseLong(value) : 0;
  }
}
