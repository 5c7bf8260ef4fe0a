package zinctally.web.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zinctally.core.papers.opening.Sheet;
import zinctally.web.paper.form.PaperForm;

/**
 * Lines of a paper as they stand in a file: its columns are found by their headings, as the paper
 * calls them or as people often do.
 *
 * @param rows by column of the paper
 * @param leftOut headings of the file that are none of the paper's
 */
record RowsFile(List<Map<String, String>> rows, List<String> leftOut) {
  static final int MOST = 5000;
  private static final Map<String, String> OFTEN =
      Map.ofEntries(
          Map.entry("code", "item"),
          Map.entry("item code", "item"),
          Map.entry("article", "item"),
          Map.entry("barcode", "item"),
          Map.entry("component", "item"),
          Map.entry("qty", "quantity"),
          Map.entry("how many", "quantity"),
          Map.entry("number of", "quantity"),
          Map.entry("note", "memo"),
          Map.entry("notes", "memo"),
          Map.entry("comment", "memo"),
          Map.entry("lot", "numbers"),
          Map.entry("lots", "numbers"),
          Map.entry("serial", "numbers"),
          Map.entry("serial number", "numbers"),
          Map.entry("serial numbers", "numbers"),
          Map.entry("unit price", "price"),
          Map.entry("vat", "tax"));

  /**
   * @throws IllegalArgumentException with a sentence when no line can be made of it
   */
  static RowsFile of(Sheet sheet, PaperForm form) {
    if (!form.lined()) throw new IllegalArgumentException("This paper has no lines to take in.");
    Map<String, String> names = names(form);
    List<Optional<String>> columns =
        sheet.headings().stream().map(h -> Optional.ofNullable(names.get(key(h)))).toList();
    String first = form.columns().get(0).name();
    if (columns.stream().noneMatch(c -> c.filter(first::equals).isPresent()))
      throw new IllegalArgumentException(
          "The first row of the file should name its columns: "
              + String.join(", ", called(form))
              + "; none of them is "
              + form.columns().get(0).label()
              + ".");
    if (sheet.rows().size() > MOST)
      throw new IllegalArgumentException(
          "The file has "
              + sheet.rows().size()
              + " lines; at most "
              + MOST
              + " are taken at once.");
    List<Map<String, String>> rows = new ArrayList<>();
    for (List<String> cells : sheet.rows()) {
      Map<String, String> row = new HashMap<>();
      for (int i = 0; i < Math.min(cells.size(), columns.size()); i++)
        if (columns.get(i).isPresent() && !cells.get(i).isBlank())
          row.putIfAbsent(columns.get(i).get(), cells.get(i).strip());
      if (!row.isEmpty()) rows.add(row);
    }
    if (rows.isEmpty()) throw new IllegalArgumentException("There is no line in the file.");
    List<String> leftOut =
        sheet.headings().stream().filter(h -> !h.isBlank() && !names.containsKey(key(h))).toList();
    return new RowsFile(rows, leftOut);
  }

  private static Stream<PaperForm.Column> typed(PaperForm form) {
    return form.columns().stream().filter(c -> !c.computed());
  }

  private static List<String> called(PaperForm form) {
    return typed(form).map(PaperForm.Column::label).toList();
  }

  private static Map<String, String> names(PaperForm form) {
    Map<String, String> names = new HashMap<>();
    List<String> there = new ArrayList<>(typed(form).map(PaperForm.Column::name).toList());
    if (form.numbered()) there.add("numbers");
    OFTEN.forEach(
        (often, name) -> {
          if (there.contains(name)) names.put(often, name);
        });
    there.forEach(name -> names.put(key(name), name));
    typed(form).forEach(c -> names.put(key(c.label()), c.name()));
    return names;
  }

  private static String key(String heading) {
    return heading.strip().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
