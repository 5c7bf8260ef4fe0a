package zinctally.web.paper;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import zinctally.core.papers.Draft;
import zinctally.web.paper.form.PaperForm;

/** One thing typed differently in a paper's next version. */
record TextChange(String where, String was, String is) {
  static List<TextChange> between(Draft before, Draft after, PaperForm form) {
    List<TextChange> changes = new ArrayList<>();
    Set<String> answers = Set.of(Draft.AGREED);
    compare(form, "", before.without(answers).fields(), after.without(answers).fields(), changes);
    int rows = Math.max(before.rows().size(), after.rows().size());
    for (int row = 0; row < rows; row++)
      compare(form, "rows." + row + ".", row(before, row), row(after, row), changes);
    return changes;
  }

  private static Map<String, String> row(Draft draft, int row) {
    return row < draft.rows().size() ? draft.rows().get(row) : Map.of();
  }

  private static void compare(
      PaperForm form,
      String at,
      Map<String, String> before,
      Map<String, String> after,
      List<TextChange> changes) {
    TreeSet<String> names = new TreeSet<>(before.keySet());
    names.addAll(after.keySet());
    names.remove(TypedDraft.FILLED);
    for (String name : names) {
      String was = before.getOrDefault(name, "").strip();
      String is = after.getOrDefault(name, "").strip();
      boolean left = was.isEmpty() && name.equals("prices") && !is.equals("included");
      if (!was.equals(is) && !left) changes.add(new TextChange(form.where(at + name), was, is));
    }
  }
}
