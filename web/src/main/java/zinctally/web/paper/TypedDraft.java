package zinctally.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.read.Days;
import zinctally.store.paper.SavedDraft;

/** Reads what the form of a paper sends. */
@Component
public class TypedDraft {
  private static final Pattern CELL = Pattern.compile("rows\\[(\\d{1,4})]\\.(\\w{1,20})");
  private static final List<String> DAYS = List.of("date", "due", "expected");

  /** The column that says which cells of a row were filled in, not typed. */
  static final String FILLED = "filled";

  /** What stands there before a cell's name when the cell was emptied and is to stay so. */
  static final String LEFT_EMPTY = "-";

  private static final List<String> MAY_STAND_EMPTY = List.of("tax", "discount");

  private final Clock clock;

  TypedDraft(Clock clock) {
    this.clock = clock;
  }

  /** What was posted, to be written once more: a tax or discount that stood empty stays so. */
  public static Draft asItStood(Draft posted) {
    List<Map<String, String>> rows = new ArrayList<>();
    for (int row = 0; row < posted.rows().size(); row++) {
      int at = row;
      Map<String, String> again = new HashMap<>(posted.rows().get(row));
      if (!posted.cell(row, "item").isEmpty())
        MAY_STAND_EMPTY.stream()
            .filter(column -> posted.cell(at, column).isEmpty())
            .forEach(column -> again.merge(FILLED, LEFT_EMPTY + column, (a, b) -> a + " " + b));
      rows.add(again);
    }
    return new Draft(posted.kind(), posted.fields(), rows);
  }

  /** A draft as the form sends it: what is typed, and the lines that its window does not show. */
  public Draft read(HttpServletRequest request, SavedDraft saved) {
    return Part.sent(request).within(saved.draft(), read(request, saved.draft().kind()));
  }

  /** Fields and rows as the form sends them. */
  public Draft read(HttpServletRequest request, PaperKind kind) {
    Map<String, String> fields = new LinkedHashMap<>();
    TreeMap<Integer, Map<String, String>> rows = new TreeMap<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              Matcher cell = CELL.matcher(name);
              if (cell.matches()) {
                if (!values[0].isBlank())
                  rows.computeIfAbsent(Integer.valueOf(cell.group(1)), k -> new HashMap<>())
                      .put(cell.group(2), values[0]);
              } else if (!name.startsWith("_") && name.length() <= 30) {
                fields.put(name, values[0]);
              }
            });
    List<Map<String, String>> all = new ArrayList<>();
    if (!rows.isEmpty())
      for (int i = 0; i <= rows.lastKey(); i++) {
        Map<String, String> row = rows.getOrDefault(i, Map.of());
        all.add(row.keySet().equals(Set.of(FILLED)) ? Map.of() : row);
      }
    return new Draft(kind, days(fields), all).inForm(Figures.form());
  }

  /** Days are kept as what they mean now: tomorrow, today would be another. */
  private Map<String, String> days(Map<String, String> fields) {
    LocalDate today = LocalDate.now(clock);
    LocalDate date = Days.read(fields.getOrDefault("date", ""), today, today).orElse(today);
    for (String name : DAYS)
      Days.read(fields.getOrDefault(name, ""), today, name.equals("date") ? today : date)
          .ifPresent(day -> fields.put(name, day.toString()));
    return fields;
  }
}
