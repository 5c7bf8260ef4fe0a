package zinctally.web.goods;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import zinctally.web.shell.Shown;

/** Many items as rows of a table. */
record ItemTable(List<Row> rows) {
  private static final Pattern CELL = Pattern.compile("rows\\[(\\d{1,4})]\\.(\\w{1,30})");

  /**
   * @param id of the item; zero for one to be made
   * @param cells as typed
   * @param faults by cell
   */
  record Row(long id, Map<String, String> cells, Map<String, String> faults) {
    boolean blank() {
      return id == 0
          && cells.entrySet().stream()
              .filter(c -> !List.of("group", "unit").contains(c.getKey()))
              .allMatch(c -> c.getValue().isBlank());
    }

    /** Whether something in it is not as it was when the table was opened. */
    boolean changed() {
      Map<String, String> shown = Shown.read(cells.getOrDefault(Shown.FIELD, ""));
      return cells.entrySet().stream()
          .anyMatch(
              c ->
                  !c.getKey().equals(Shown.FIELD)
                      && !c.getValue().strip().equals(shown.getOrDefault(c.getKey(), "")));
    }

    Row wrong(Map<String, String> faults) {
      return new Row(id, cells, faults);
    }
  }

  /** Reads what a form sent: {@code rows[3].name}. */
  static ItemTable read(Map<String, String> sent) {
    Map<Integer, Map<String, String>> rows = new TreeMap<>();
    sent.forEach(
        (name, value) -> {
          Matcher cell = CELL.matcher(name);
          if (cell.matches())
            rows.computeIfAbsent(Integer.valueOf(cell.group(1)), r -> new HashMap<>())
                .put(cell.group(2), value);
        });
    List<Row> all = new ArrayList<>();
    for (Map<String, String> cells : rows.values()) {
      String id = cells.remove("id");
      all.add(
          new Row(id != null && id.matches("\\d{1,18}") ? Long.parseLong(id) : 0, cells, Map.of()));
    }
    return new ItemTable(all);
  }

  boolean wrong() {
    return rows.stream().anyMatch(r -> !r.faults().isEmpty());
  }
}
