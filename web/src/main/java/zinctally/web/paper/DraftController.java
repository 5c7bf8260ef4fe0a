package zinctally.web.paper;

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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.Refused;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Posting;
import zinctally.web.paper.form.Forms;
import zinctally.web.prove.Checks;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;
import zinctally.web.shell.SetsUp;

/** Writing a paper: begin, keep as typed, prove, post. */
@Controller
public class DraftController {
  private static final int SPARE_ROWS = 6;

  private final DraftStore drafts;
  private final TypedDraft sent;
  private final Posting posting;
  private final ProofPage proofs;
  private final Heads heads;
  private final CounterBeside counter;
  private final Say say;
  private final Checks checks;
  private final Forms forms;

  DraftController(
      DraftStore drafts,
      TypedDraft sent,
      Posting posting,
      ProofPage proofs,
      Heads heads,
      CounterBeside counter,
      Say say,
      Checks checks,
      Forms forms) {
    this.forms = forms;
    this.checks = checks;
    this.say = say;
    this.counter = counter;
    this.drafts = drafts;
    this.sent = sent;
    this.posting = posting;
    this.proofs = proofs;
    this.heads = heads;
  }

  @ByKind
  @PostMapping("/papers/new/{slug}")
  String begin(@PathVariable String slug, HttpServletRequest request, Principal who) {
    PaperKind kind = kind(slug);
    May.must(May.write(who, kind));
    Map<String, String> fields = new HashMap<>(heads.defaults(kind));
    Draft given = sent.read(request, kind);
    fields.putAll(given.fields());
    long id = drafts.begin(new Draft(kind, fields, given.rows()), who.getName());
    return "redirect:/drafts/" + id;
  }

  private static PaperKind kind(String slug) {
    try {
      return PaperKind.ofSlug(slug);
    } catch (IllegalArgumentException unknown) {
      throw new NotThere(String.valueOf(unknown.getMessage()));
    }
  }

  private SavedDraft writable(long id, Principal who) {
    SavedDraft saved = draft(id);
    May.must(May.write(who, saved));
    return saved;
  }

  private SavedDraft draft(long id) {
    SavedDraft saved = drafts.find(id).orElseThrow(() -> new NotThere("draft " + id));
    Figures.use(saved.draft().form());
    return saved;
  }

  @GetMapping("/drafts/{id}")
  String edit(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int at,
      HttpServletRequest request,
      Model model,
      Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    PaperKind kind = saved.draft().kind();
    if (kind.is(Trait.SHEET)) return "redirect:/opening/stock/" + id;
    model.addAttribute("mayPost", May.write(who, saved));
    model.addAttribute("mayShare", May.setUp(who) && kind.isWith(Party.Kind.CUSTOMER));
    model.addAttribute("window", Windows.of(request));
    model.addAttribute("saved", saved);
    model.addAttribute("form", forms.of(kind));
    Part part = Part.with(saved.draft(), at);
    model.addAttribute("part", part);
    model.addAttribute("rows", rows(saved.draft(), part));
    if (kind.is(Trait.COUNTER) && saved.amends() == 0) counter.show(saved, who.getName(), model);
    proofs.show(saved, saved.draft(), who.getName(), model);
    return "paper/edit";
  }

  /** What is typed, and some empty rows to go on in. */
  private static List<Map<String, String>> rows(Draft draft, Part part) {
    List<Map<String, String>> rows = new ArrayList<>(part.rows(draft));
    if (part.to() != Part.END) return rows;
    for (int i = 0; i < SPARE_ROWS || rows.size() < 8; i++) rows.add(Map.of());
    return rows;
  }

  /** Keeps what is typed and answers with the proof of it. */
  @ByKind
  @PostMapping("/drafts/{id}/save")
  String save(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    Optional<SavedDraft> there = drafts.find(id);
    there.ifPresent(saved -> Figures.use(saved.draft().form()));
    PaperKind kind =
        there.map(d -> d.draft().kind()).orElseGet(() -> kind(request.getParameter("_kind")));
    May.must(May.write(who, kind));
    if (there.isPresent()) writable(id, who);
    Draft draft = there.map(d -> sent.read(request, d)).orElseGet(() -> sent.read(request, kind));
    Optional<SavedDraft> kept = drafts.save(id, draft, Windows.seen(request), who.getName());
    if (kept.isEmpty()) {
      model.addAttribute("stale", stale(id, draft));
      model.addAttribute("draftId", id);
      model.addAttribute("slug", kind.slug());
      return "paper/stale :: proof";
    }
    model.addAttribute("saved", kept.get());
    model.addAttribute("part", Part.sent(request).of(there.get().draft(), draft));
    proofs.show(kept.get(), draft, who.getName(), model);
    return "paper/proof :: proof";
  }

  private Stale stale(long id, Draft typed) {
    Optional<SavedDraft> now = drafts.find(id);
    return Stale.of(
        now, now.map(d -> say.clock(d.savedAt())).orElse(""), typed, forms.of(typed.kind()));
  }

  @ByKind
  @PostMapping("/drafts/{id}/post")
  String post(
      @PathVariable long id,
      HttpServletRequest request,
      Model model,
      Principal who,
      RedirectAttributes after) {
    SavedDraft saved = writable(id, who);
    Draft typed = sent.read(request, saved);
    Optional<SavedDraft> kept = drafts.save(id, typed, Windows.seen(request), who.getName());
    if (kept.isEmpty()) return apart(id, typed, who, after);
    try {
      SavedDraft.Seen seen =
          new SavedDraft.Seen(kept.get().revision(), Windows.seen(request).window());
      long paper = posting.post(id, seen, who.getName());
      if (saved.draft().kind().is(Trait.MENDS)) checks.soon("recosting");
      return "redirect:/papers/" + paper + "?posted";
    } catch (Refused refused) {
      model.addAttribute("refused", refused.faults());
      return edit(id, firstLine(refused), request, model, who);
    }
  }

  /** The line, from zero, of the first fault that is on a line. */
  private static int firstLine(Refused refused) {
    return refused.faults().stream().mapToInt(Fault::row).filter(r -> r >= 0).findFirst().orElse(0);
  }

  /** Keeps what is typed, and goes on among the lines around another. */
  @ByKind
  @PostMapping("/drafts/{id}/lines/{at:\\d{1,5}}")
  String lines(
      @PathVariable long id,
      @PathVariable int at,
      HttpServletRequest request,
      Principal who,
      RedirectAttributes after) {
    Draft typed = sent.read(request, writable(id, who));
    if (drafts.save(id, typed, Windows.seen(request), who.getName()).isEmpty())
      return apart(id, typed, who, after);
    return "redirect:/drafts/" + id + "?at=" + at;
  }

  /** What stands in a window whose draft another has changed: a draft of its own. */
  @ByKind
  @PostMapping("/drafts/{id}/apart")
  String apart(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    return apart(id, sent.read(request, draft(id)), who, after);
  }

  private String apart(long id, Draft typed, Principal who, RedirectAttributes after) {
    SavedDraft there = writable(id, who);
    Stale stale = stale(id, typed);
    if (there.posted() && stale.alike()) return "redirect:/papers/" + there.paper() + "?posted";
    after.addFlashAttribute(
        "told",
        stale.happened() + "; what stands here is a draft of its own now, and nothing is posted.");
    return "redirect:/drafts/"
        + drafts.begin(typed, there.amends(), there.amendsVersion(), who.getName());
  }

  /** Lets those at the counter write in a draft, or no longer. */
  @SetsUp
  @PostMapping("/drafts/{id}/share")
  String share(@PathVariable long id, Principal who) {
    SavedDraft saved = writable(id, who);
    drafts.share(id, !saved.shared());
    return "redirect:/drafts/" + id;
  }

  @ByKind
  @PostMapping("/drafts/{id}/discard")
  String discard(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    SavedDraft saved = writable(id, who);
    boolean sale = saved.draft().kind().is(Trait.COUNTER) && saved.amends() == 0;
    if (drafts.discard(id, Windows.seen(request)))
      after.addFlashAttribute("told", "The draft is thrown away.");
    else after.addFlashAttribute("wrong", "It stays: it was changed or posted in another window.");
    return sale ? "redirect:/counter" : "redirect:/";
  }
}
