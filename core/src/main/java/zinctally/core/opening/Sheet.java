package zinctally.core.opening;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;

/**
 * A table as it came from a file or a paste: headings and rows of text.
 *
 * @param headings one for each column
 */
public record Sheet(List<String> headings, List<List<String>> rows) {
  /** Cells of column i of a draft stand under this name. */
  public static String cell(int column) {
    return "c" + column;
  }

  /**
   * As a draft of opening stock, columns matched by their headings. What each column holds stands
   * in the field {@code columns}, comma-separated, and can be changed there.
   */
  public Draft asOpeningStock(String place) {
    List<String> columns = new ArrayList<>();
    for (String heading : headings) {
      Optional<Column> match = Column.matching(heading);
      boolean taken = match.isPresent() && columns.contains(match.get().key());
      columns.add(match.isPresent() && !taken ? match.get().key() : "");
    }
    List<Map<String, String>> cells = new ArrayList<>(rows.size());
    for (List<String> row : rows) {
      Map<String, String> map = new HashMap<>();
      for (int i = 0; i < row.size() && i < headings.size(); i++)
        if (!row.get(i).isBlank()) map.put(cell(i), row.get(i).strip());
      cells.add(map);
    }
    Map<String, String> fields = new HashMap<>();
    fields.put("columns", String.join(",", columns));
    fields.put("headings", String.join("\t", headings));
    fields.put("place", place);
    return new Draft(PaperKind.OPENING_STOCK, fields, cells);
  }
}
