package zinctally.web.paper;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.read.Days;
import zinctally.core.proof.Proof;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Proving;
import zinctally.store.posting.Voiding;
import zinctally.web.paper.form.Forms;
import zinctally.web.sell.CounterDesk;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** Posted papers that change: the next version, the void, the versions there were. */
@Controller
class AmendController {
  private static final int PAGE = 100;
  private final PaperStore papers;
  private final PaperText texts;
  private final DraftStore drafts;
  private final Proving proving;
  private final Voiding voiding;
  private final ProofPage proofs;
  private final LaterPapers laters;
  private final Catalogues catalogues;
  private final BookStore books;
  private final CounterDesk desk;
  private final Clock clock;
  private final Forms forms;

  AmendController(
      PaperStore papers,
      PaperText texts,
      DraftStore drafts,
      Proving proving,
      Voiding voiding,
      ProofPage proofs,
      LaterPapers laters,
      Catalogues catalogues,
      BookStore books,
      CounterDesk desk,
      Clock clock,
      Forms forms) {
    this.forms = forms;
    this.clock = clock;
    this.desk = desk;
    this.papers = papers;
    this.texts = texts;
    this.drafts = drafts;
    this.proving = proving;
    this.voiding = voiding;
    this.proofs = proofs;
    this.laters = laters;
    this.catalogues = catalogues;
    this.books = books;
  }

  private PostedPaper paper(long id) {
    return papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
  }

  private PostedPaper changeable(long id, Principal who) {
    PostedPaper paper = paper(id);
    May.must(May.write(who, paper.kind()));
    return paper;
  }

  /** Opens the paper as its next version. */
  @ByKind
  @PostMapping("/papers/{id}/amend")
  String amend(@PathVariable long id, Principal who, RedirectAttributes after) {
    PostedPaper paper = changeable(id, who);
    if (paper.isVoid()) {
      after.addFlashAttribute("wrong", paper.number() + " is void; write a new paper instead.");
      return "redirect:/papers/" + id;
    }
    return "redirect:/drafts/"
        + drafts.beginAmending(
            id, paper.version(), texts.read(id, paper.version(), paper.kind()), who.getName());
  }

  @GetMapping("/papers/{id}/void")
  String askVoid(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String on,
      @RequestParam(defaultValue = "") String why,
      Model model,
      Principal who) {
    PostedPaper paper = changeable(id, who);
    LocalDate usual = usualDay(paper);
    Optional<LocalDate> day = day(on, usual);
    model.addAttribute("paper", paper);
    model.addAttribute("on", on.isBlank() ? usual.toString() : on);
    model.addAttribute("why", why);
    if (day.isEmpty())
      model.addAttribute("wrong", "\"" + on + "\" is not a date; write it as 2026-03-09.");
    proofs.showVoid(id, day.orElse(usual), who.getName(), model);
    return "paper/void";
  }

  /** The paper's own day while that is open, else the first open one. */
  private LocalDate usualDay(PostedPaper paper) {
    LocalDate open = books.book().firstOpenDay();
    return paper.date().isBefore(open) ? open : paper.date();
  }

  private Optional<LocalDate> day(String typed, LocalDate usual) {
    return typed.isBlank() ? Optional.of(usual) : Days.read(typed, LocalDate.now(clock), usual);
  }

  @ByKind
  @PostMapping("/papers/{id}/void")
  String voidPaper(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String on,
      @RequestParam(defaultValue = "") String why,
      @RequestParam(required = false) String show,
      Model model,
      Principal who,
      RedirectAttributes after) {
    PostedPaper paper = changeable(id, who);
    Optional<LocalDate> day = day(on, usualDay(paper));
    if (show != null || day.isEmpty() || why.length() > 400)
      return askVoid(id, on, why, model, who);
    try {
      voiding.voidPaper(id, day.get(), why.strip(), who.getName());
    } catch (Refused refused) {
      model.addAttribute("refused", refused.faults());
      return askVoid(id, on, why, model, who);
    }
    after.addFlashAttribute("told", paper.number() + " is void." + desk.voided(id));
    return "redirect:/papers/" + id;
  }

  /** Every paper whose cost a draft would move, a page at a time. */
  @GetMapping("/drafts/{id}/later")
  String later(
      @PathVariable long id,
      @RequestParam(defaultValue = "0") int from,
      Model model,
      Principal who) {
    SavedDraft saved = drafts.find(id).orElseThrow(() -> new NotThere("draft " + id));
    model.addAttribute("back", "/drafts/" + id);
    model.addAttribute("path", "/drafts/" + id + "/later?from=");
    return later(proving.prove(saved.draft(), saved.amends(), who.getName()), from, model);
  }

  @GetMapping("/papers/{id}/void/later")
  String later(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String on,
      @RequestParam(defaultValue = "0") int from,
      Model model,
      Principal who) {
    LocalDate day = day(on, usualDay(paper(id))).orElseThrow(() -> new NotThere("day " + on));
    model.addAttribute("back", "/papers/" + id + "/void?on=" + day);
    model.addAttribute("path", "/papers/" + id + "/void/later?on=" + day + "&from=");
    return later(proving.proveVoid(id, day, who.getName()), from, model);
  }

  private String later(Proof proof, int from, Model model) {
    Proof.Work work = proof.work().orElse(null);
    int first = Math.max(0, from);
    int count = work == null ? 0 : work.later().size();
    model.addAttribute("rows", work == null ? List.of() : laters.some(work, first, PAGE));
    model.addAttribute("sums", work == null ? List.of() : laters.sums(work, catalogues.open()));
    model.addAttribute("count", count);
    model.addAttribute("first", first);
    model.addAttribute("next", first + PAGE < count ? first + PAGE : null);
    model.addAttribute("previous", first > 0 ? Math.max(0, first - PAGE) : null);
    return "paper/later";
  }

  /** An earlier version as it was typed. */
  @GetMapping("/papers/{id}/version/{version}")
  String version(@PathVariable long id, @PathVariable int version, Model model) {
    PostedPaper paper = paper(id);
    if (version < 1 || version > paper.version())
      throw new NotThere("version " + version + " of " + paper.number());
    PaperKind kind = paper.kind();
    model.addAttribute("paper", paper);
    model.addAttribute("version", texts.version(id, version));
    model.addAttribute("form", forms.of(kind));
    model.addAttribute("text", texts.read(id, version, kind));
    if (version > 1)
      model.addAttribute(
          "changes",
          TextChange.between(
              texts.read(id, version - 1, kind), texts.read(id, version, kind), forms.of(kind)));
    return "paper/version";
  }
}
