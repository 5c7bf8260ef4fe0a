package zinctally.web.listing;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * All that the template of a list needs.
 *
 * @param kept what else the address asks, and goes on asking
 * @param narrowed whether something is asked of single columns
 * @param next where the list goes on; null at its end
 */
record ListView(
    String name,
    String path,
    String filter,
    String sort,
    Map<String, String> kept,
    boolean narrowed,
    List<Head> heads,
    List<ListChoices.Column> columns,
    List<Cells.Row> rows,
    Cells.@Nullable Foot foot,
    @Nullable String next,
    String empty,
    List<ListPage.Link> exports) {
  /** All that is asked, so that what is done with the list is done with what it shows. */
  public Map<String, String> asked() {
    Map<String, String> asked = new LinkedHashMap<>(kept);
    asked.put("filter", filter);
    heads.stream()
        .flatMap(h -> h.boxes().stream())
        .filter(b -> !b.typed().isEmpty())
        .forEach(b -> asked.put(b.name(), b.typed()));
    return asked;
  }

  /** Whether everything is shown, whatever there is. */
  public boolean unfiltered() {
    return filter.isEmpty() && !narrowed;
  }

  /**
   * A heading, where clicking it leads (null for nowhere), how it is sorted now (none, ascending or
   * descending), and the boxes that narrow its column.
   */
  record Head(
      String words,
      @Nullable String href,
      boolean figure,
      String sorted,
      List<Narrowing.Box> boxes) {}
}
