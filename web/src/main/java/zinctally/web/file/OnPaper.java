package zinctally.web.file;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * How something is printed.
 *
 * @param title in place of its own; empty for its own
 * @param head whether the business stands over it, with address and tax number
 * @param foot words under each page; empty for none
 * @param language in which fixed words stand
 * @param size of the sheet
 * @param upright whether it stands; else it lies
 * @param copies how often it is in the file
 * @param widths of columns from the left, percent of the sheet; zero where it finds its own
 */
public record OnPaper(
    String title,
    boolean head,
    String foot,
    String language,
    String size,
    boolean upright,
    int copies,
    List<Integer> widths) {
  private static final List<String> LANGUAGES = List.of("en", "de", "he");
  private static final List<String> SIZES = List.of("A4", "A5", "A3", "Letter");
  private static final int MOST_COPIES = 20;
  public static final OnPaper PLAIN = new OnPaper("", false, "", "en", "A4", false, 1, List.of());
  private static final int LONGEST = 120;

  /** As the address asks; what it does not say is as usual. */
  public static OnPaper read(HttpServletRequest request) {
    return read(
        name -> {
          String value = request.getParameter(name);
          return value == null ? "" : value;
        });
  }

  /**
   * The same from elsewhere.
   *
   * @param asked gives what is asked under a name; nothing when nothing is
   */
  public static OnPaper read(UnaryOperator<String> asked) {
    UnaryOperator<String> text = name -> cut(asked.apply(name).strip());
    return new OnPaper(
        text.apply("paper.title"),
        "on".equals(text.apply("paper.head")),
        text.apply("paper.foot"),
        text.apply("paper.language"),
        text.apply("paper.size"),
        "upright".equals(text.apply("paper.turn")),
        copies(text.apply("paper.copies")),
        widths(text.apply("paper.widths")));
  }

  public OnPaper {
    language = LANGUAGES.contains(language) ? language : "en";
    size = SIZES.contains(size) ? size : "A4";
    copies = Math.max(1, Math.min(copies, MOST_COPIES));
    widths = List.copyOf(widths);
  }

  /** The title, or what it is called by itself. */
  public String titled(String own) {
    return title.isEmpty() ? own : title;
  }

  /** What style sheets of print say of the sheet. */
  public String sheet() {
    return size + (upright ? " portrait" : " landscape");
  }

  public Locale locale() {
    return Locale.forLanguageTag(language);
  }

  /** What style sheets say of a column from zero on; empty where it finds its own width. */
  public String width(int column) {
    return column < widths.size() && widths.get(column) > 0
        ? "width: " + widths.get(column) + "%"
        : "";
  }

  private static List<Integer> widths(String typed) {
    if (!typed.matches("[\\d\\s,%]*")) return List.of();
    return Stream.of(typed.split(","))
        .map(w -> w.replaceAll("[^\\d]", ""))
        .map(w -> w.isEmpty() || w.length() > 2 ? 0 : Integer.parseInt(w))
        .toList();
  }

  private static int copies(String typed) {
    return typed.matches("\\d{1,3}") ? Integer.parseInt(typed) : 1;
  }

  private static String cut(String text) {
    return text.length() > LONGEST ? text.substring(0, LONGEST) : text;
  }
}
