package zinctally.core.papers;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.number.Form;

/**
 * A paper as it was typed, right or wrong: nothing in it has been read yet.
 *
 * @param fields what stands in the head, by field
 * @param rows what stands in the line table, by column
 */
public record Draft(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
  /** The field that keeps what was answered with yes; it belongs to this one paper. */
  public static final String AGREED = "agreed";

  /** The field and the cell that name a cost centre. */
  public static final String CENTRE = "centre";

  /** The field that says in which form its figures are written. */
  public static final String FIGURES = "figures";

  public Draft {
    fields = Map.copyOf(fields);
    List<Map<String, String>> copies = new ArrayList<>(rows.size());
    for (Map<String, String> row : rows) copies.add(Map.copyOf(row));
    rows = Collections.unmodifiableList(copies);
  }

  public String field(String name) {
    return fields.getOrDefault(name, "").strip();
  }

  /** The same with one field of its head filled. */
  public Draft with(String name, String typed) {
    Map<String, String> more = new HashMap<>(fields);
    more.put(name, typed);
    return new Draft(kind, more, rows);
  }

  public String cell(int row, String column) {
    return rows.get(row).getOrDefault(column, "").strip();
  }

  /** What names whom the paper is from or for; empty for a paper of no single party. */
  public String party() {
    return kind.side().map(side -> field(side.field())).orElse("");
  }

  /** Its rows up to the last in which something is typed. */
  public List<Map<String, String>> typedRows() {
    int last = rows.size();
    while (last > 0 && blank(last - 1)) last--;
    return rows.subList(0, last);
  }

  /** The same without some fields. */
  public Draft without(Collection<String> names) {
    Map<String, String> left = new HashMap<>(fields);
    left.keySet().removeAll(names);
    return new Draft(kind, left, rows);
  }

  /** In which form its figures are written. */
  public Form form() {
    return Form.of(field(FIGURES));
  }

  /** The same, saying in which form its figures are written if it does not yet. */
  public Draft inForm(Form form) {
    if (fields.containsKey(FIGURES)) return this;
    Map<String, String> more = new HashMap<>(fields);
    more.put(FIGURES, form.name());
    return new Draft(kind, more, rows);
  }

  /** Whether nothing is typed in the row. */
  public boolean blank(int row) {
    return rows.get(row).values().stream().allMatch(String::isBlank);
  }
}
