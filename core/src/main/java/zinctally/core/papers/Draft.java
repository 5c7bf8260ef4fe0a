package zinctally.core.papers;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;

/**
 * A paper as it was typed, right or wrong: nothing in it has been read yet.
 *
 * @param fields what stands in the head, by field
 * @param rows what stands in the line table, by column
 */
public record Draft(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
  public Draft {
    fields = Map.copyOf(fields);
    List<Map<String, String>> copies = new ArrayList<>(rows.size());
    for (Map<String, String> row : rows) copies.add(Map.copyOf(row));
    rows = Collections.unmodifiableList(copies);
  }

  public String field(String name) {
    return fields.getOrDefault(name, "").strip();
  }

  public String cell(int row, String column) {
    return rows.get(row).getOrDefault(column, "").strip();
  }

  /** Whether nothing is typed in the row. */
  public boolean blank(int row) {
    return rows.get(row).values().stream().allMatch(String::isBlank);
  }
}
