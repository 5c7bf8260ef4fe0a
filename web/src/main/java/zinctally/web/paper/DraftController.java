package zinctally.web.paper;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Refused;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Writing a paper: begin, keep as typed, prove, post. */
@Controller
public class DraftController {
  private static final Pattern CELL = Pattern.compile("rows\\[(\\d{1,4})]\\.(\\w{1,20})");
  private static final int SPARE_ROWS = 6;
  private final DraftStore drafts;
  private final Posting posting;
  private final ProofPage proofs;
  private final Choices choices;
  private final CounterBeside counter;

  DraftController(
      DraftStore drafts,
      Posting posting,
      ProofPage proofs,
      Choices choices,
      CounterBeside counter) {
    this.counter = counter;
    this.drafts = drafts;
    this.posting = posting;
    this.proofs = proofs;
    this.choices = choices;
  }

  @PostMapping("/papers/new/{slug}")
  String begin(@PathVariable String slug, HttpServletRequest request, Principal who) {
    PaperKind kind = kind(slug);
    allow(who, kind);
    Map<String, String> fields = new HashMap<>(choices.defaults(kind));
    Draft given = typed(request, kind);
    fields.putAll(given.fields());
    long id = drafts.begin(new Draft(kind, fields, given.rows()), who.getName());
    return "redirect:/drafts/" + id;
  }

  private static PaperKind kind(String slug) {
    try {
      return PaperKind.ofSlug(slug);
    } catch (IllegalArgumentException unknown) {
      throw new NotThere(unknown.getMessage());
    }
  }

  private static void allow(Principal who, PaperKind kind) {
    if (!May.write(who, kind)) throw new ResponseStatusException(HttpStatus.FORBIDDEN);
  }

  private SavedDraft draft(long id) {
    return drafts.find(id).orElseThrow(() -> new NotThere("draft " + id));
  }

  @GetMapping("/drafts/{id}")
  String edit(@PathVariable long id, Model model, Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    PaperKind kind = saved.draft().kind();
    if (kind == PaperKind.OPENING_STOCK) return "redirect:/opening/stock/" + id;
    model.addAttribute("mayPost", May.write(who, kind));
    model.addAttribute("saved", saved);
    model.addAttribute("form", PaperForm.of(kind));
    model.addAttribute("choices", choices.lists());
    model.addAttribute("rows", rows(saved.draft()));
    if (kind == PaperKind.COUNTER_SALE && saved.amends() == 0)
      counter.show(saved, who.getName(), model);
    proofs.show(saved, saved.draft(), who.getName(), model);
    return "paper/edit";
  }

  /** What is typed, and some empty rows to go on in. */
  private static List<Map<String, String>> rows(Draft draft) {
    List<Map<String, String>> rows = new ArrayList<>(draft.typedRows());
    for (int i = 0; i < SPARE_ROWS || rows.size() < 8; i++) rows.add(Map.of());
    return rows;
  }

  /** Keeps what is typed and answers with the proof of it. */
  @PostMapping("/drafts/{id}/save")
  String save(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    SavedDraft saved = draft(id);
    PaperKind kind = saved.draft().kind();
    allow(who, kind);
    Draft draft = typed(request, kind);
    Optional<SavedDraft> kept = drafts.save(id, draft, who.getName());
    model.addAttribute("kept", kept.isPresent());
    model.addAttribute("saved", kept.orElseGet(() -> draft(id)));
    proofs.show(saved, draft, who.getName(), model);
    return "paper/proof :: proof";
  }

  @PostMapping("/drafts/{id}/post")
  String post(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    allow(who, saved.draft().kind());
    drafts.save(id, typed(request, saved.draft().kind()), who.getName());
    try {
      return "redirect:/papers/" + posting.post(id, who.getName()) + "?posted";
    } catch (Refused refused) {
      model.addAttribute("refused", refused.faults());
      return edit(id, model, who);
    }
  }

  @PostMapping("/drafts/{id}/discard")
  String discard(@PathVariable long id, Principal who, RedirectAttributes after) {
    allow(who, draft(id).draft().kind());
    drafts.discard(id);
    after.addFlashAttribute("told", "The draft is thrown away.");
    return "redirect:/";
  }

  /** Fields and rows as the form sends them. */
  public static Draft typed(HttpServletRequest request, PaperKind kind) {
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
      for (int i = 0; i <= rows.lastKey(); i++) all.add(rows.getOrDefault(i, Map.of()));
    return new Draft(kind, fields, all);
  }
}
