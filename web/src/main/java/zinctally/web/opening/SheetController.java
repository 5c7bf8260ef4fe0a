package zinctally.web.opening;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Trait;
import zinctally.core.papers.opening.Sheet;
import zinctally.store.Refused;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Progress;
import zinctally.web.paper.Windows;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** The sheet of opening stock: matched, typed, proved and posted. */
@Controller
class SheetController {
  private final DraftStore drafts;
  private final Posting posting;
  private final Progress progress;
  private final SheetPage page;

  SheetController(DraftStore drafts, Posting posting, Progress progress, SheetPage page) {
    this.drafts = drafts;
    this.posting = posting;
    this.progress = progress;
    this.page = page;
  }

  private static final String STALE =
      "This sheet was changed or posted in another window meanwhile; what was typed here is not"
          + " kept. Look at what is there now.";

  private SavedDraft draft(long id) {
    SavedDraft sheet =
        drafts
            .find(id)
            .filter(d -> d.draft().kind().is(Trait.SHEET))
            .orElseThrow(() -> new NotThere("sheet " + id));
    Figures.use(sheet.draft().form());
    return sheet;
  }

  @GetMapping("/opening/stock/{id}")
  String sheet(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    page.show(saved, request, who.getName(), model);
    return "opening/stock";
  }

  /** Keeps matching, place and, for a short sheet, the cells themselves. */
  @SetsUp
  @PostMapping("/opening/stock/{id}")
  String keep(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    if (drafts
        .save(id, typed(saved.draft(), request), Windows.seen(request), who.getName())
        .isEmpty()) model.addAttribute("stale", STALE);
    page.show(draft(id), request, who.getName(), model);
    return request.getHeader("HX-Request") != null ? "opening/stock :: proof" : "opening/stock";
  }

  private static Draft typed(Draft draft, HttpServletRequest request) {
    Map<String, String> fields = new HashMap<>(draft.fields());
    List<String> columns = new ArrayList<>();
    int count = draft.fields().getOrDefault("columns", "").split(",", -1).length;
    for (int i = 0; i < count; i++) {
      String column = request.getParameter("column" + i);
      columns.add(column == null ? "" : column);
    }
    fields.put("columns", String.join(",", columns));
    if (request.getParameter("place") != null) fields.put("place", request.getParameter("place"));
    String figures = request.getParameter("figures");
    if (figures != null && !figures.equals(draft.field(Draft.FIGURES))) {
      fields.put(Draft.FIGURES, Form.of(figures).name());
      fields.put(Sheet.FORM_KNOWN, "yes");
    }
    fields.put("questions", "seen".equals(request.getParameter("questions")) ? "seen" : "");
    if (request.getParameter("grid") == null) return new Draft(draft.kind(), fields, draft.rows());
    Map<Integer, Map<String, String>> rows = new java.util.TreeMap<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!name.matches("rows\\[\\d{1,4}]\\.c\\d{1,2}") || values[0].isBlank()) return;
              int row = Integer.parseInt(name.substring(5, name.indexOf(']')));
              rows.computeIfAbsent(row, r -> new HashMap<>())
                  .put(name.substring(name.indexOf('.') + 1), values[0]);
            });
    List<Map<String, String>> all = new ArrayList<>();
    int last = rows.keySet().stream().mapToInt(Integer::intValue).max().orElse(-1);
    for (int i = 0; i <= last; i++) all.add(rows.getOrDefault(i, Map.of()));
    return new Draft(draft.kind(), fields, all);
  }

  @SetsUp
  @PostMapping("/opening/stock/{id}/post")
  String post(
      @PathVariable long id,
      HttpServletRequest request,
      Model model,
      Principal who,
      RedirectAttributes after) {
    SavedDraft saved = draft(id);
    Draft typed = typed(saved.draft(), request);
    Optional<SavedDraft> kept = drafts.save(id, typed, Windows.seen(request), who.getName());
    if (kept.isEmpty()) {
      boolean alike = saved.posted() && saved.draft().equals(typed);
      after.addFlashAttribute(alike ? "told" : "wrong", alike ? "Opening stock is in." : STALE);
      return alike ? "redirect:/opening" : "redirect:/opening/stock/" + id;
    }
    try {
      SavedDraft.Seen seen =
          new SavedDraft.Seen(kept.get().revision(), Windows.seen(request).window());
      posting.post(id, seen, who.getName());
      after.addFlashAttribute("told", "Opening stock is in.");
      return "redirect:/opening";
    } catch (Refused refused) {
      page.show(draft(id), request, who.getName(), model);
      return "opening/stock";
    }
  }

  /** Percent of a posting that is done, for the bar that shows it. */
  @GetMapping("/opening/stock/{id}/progress")
  @ResponseBody
  String progress(@PathVariable long id) {
    return String.valueOf(progress.of(id));
  }
}
