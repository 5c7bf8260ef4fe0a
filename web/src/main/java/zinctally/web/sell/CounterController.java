package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.store.Refused;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.sell.TillStore;
import zinctally.store.setup.PlaceStore;
import zinctally.web.paper.Heads;
import zinctally.web.paper.TypedDraft;
import zinctally.web.paper.Windows;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sells;

/** The counter: one sale after the other, through the till of whoever sells. */
@Controller
class CounterController {
  private final TillStore tills;

  private final DraftStore drafts;

  private final PaperStore papers;

  private final Heads heads;

  private final PlaceStore places;

  private final CounterReceipt receipts;

  private final CounterDesk desk;

  private final TypedDraft sent;

  CounterController(
      TillStore tills,
      DraftStore drafts,
      PaperStore papers,
      Heads heads,
      PlaceStore places,
      CounterReceipt receipts,
      CounterDesk desk,
      TypedDraft sent) {
    this.sent = sent;
    this.tills = tills;
    this.drafts = drafts;
    this.papers = papers;
    this.heads = heads;
    this.places = places;
    this.receipts = receipts;
    this.desk = desk;
  }

  /** The next customer: an empty sale, or the till to open first. */
  @Sells
  @GetMapping("/counter")
  String next(Model model, Principal who, RedirectAttributes after) {
    Optional<TillStore.Till> till = tills.of(who.getName());
    if (till.isEmpty()) {
      model.addAttribute("places", places.plain());
      return "sell/till-open";
    }
    for (String told : List.of("done", "change"))
      if (model.containsAttribute(told)) after.addFlashAttribute(told, model.getAttribute(told));
    return begin(till.get().place(), who);
  }

  private String begin(String place, Principal who) {
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.COUNTER_SALE));
    fields.put("place", place);
    fields.put("seller", tills.lastSeller(who.getName()));
    Draft sale = new Draft(PaperKind.COUNTER_SALE, fields, List.of());
    tills.dropEmpty(who.getName());
    return "redirect:/drafts/" + drafts.begin(sale, who.getName());
  }

  private SavedDraft sale(long id) {
    SavedDraft sale =
        drafts
            .find(id)
            .filter(d -> d.draft().kind().is(Trait.COUNTER) && d.amends() == 0)
            .orElseThrow(() -> new NotThere("sale " + id));
    Figures.use(sale.draft().form());
    return sale;
  }

  /**
   * What the window has of a sale, kept; when another window has changed the sale meanwhile it is a
   * sale of its own, and the answer is empty.
   */
  private Optional<SavedDraft> kept(
      SavedDraft saved, HttpServletRequest request, Principal who, RedirectAttributes after) {
    Draft typed = sent.read(request, saved);
    Optional<SavedDraft> kept =
        drafts.save(saved.id(), typed, Windows.seen(request), who.getName());
    if (kept.isEmpty() && !saved.draft().equals(typed)) {
      after.addFlashAttribute("apart", drafts.begin(typed, who.getName()));
      after.addFlashAttribute(
          "told",
          saved.savedBy()
              + " has this sale in another window; what stood here is a sale of its own, and nothing"
              + " is posted.");
    }
    return kept;
  }

  private static String apart(RedirectAttributes after) {
    Object id = after.getFlashAttributes().get("apart");
    return id == null ? "redirect:/counter" : "redirect:/drafts/" + id;
  }

  /** Puts a sale aside: it stays as a draft, and the next customer's begins. */
  @Sells
  @PostMapping("/counter/{id:\\d+}/hold")
  String hold(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    Optional<SavedDraft> kept = kept(sale(id), request, who, after);
    return kept.isEmpty() ? apart(after) : "redirect:/counter";
  }

  /** Posts a sale, prints its receipt and begins the next. */
  @Sells
  @PostMapping("/counter/{id:\\d+}/post")
  String post(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    Optional<SavedDraft> saved = kept(sale(id), request, who, after);
    if (saved.isEmpty()) return apart(after);
    SavedDraft.Seen seen =
        new SavedDraft.Seen(saved.get().revision(), Windows.seen(request).window());
    try {
      CounterDesk.Done done = desk.sell(saved.get(), seen, who.getName());
      after.addFlashAttribute("done", done.id());
      after.addFlashAttribute("change", done.change());
      return "redirect:/counter";
    } catch (Refused refused) {
      after.addFlashAttribute("refused", true);
      refused.faults().stream()
          .filter(f -> f.cell().equals("card"))
          .findFirst()
          .ifPresent(f -> after.addFlashAttribute("wrong", f.says()));
      return "redirect:/drafts/" + id;
    }
  }

  /** A sale's receipt as the printer prints it. */
  @GetMapping("/papers/{id}/receipt")
  ResponseEntity<String> receipt(@PathVariable long id) {
    return papers
        .find(id)
        .filter(p -> p.kind().is(Trait.COUNTER))
        .map(
            p ->
                ResponseEntity.ok()
                    .contentType(MediaType.parseMediaType("text/plain;charset=UTF-8"))
                    .body(receipts.of(p)))
        .orElseThrow(() -> new NotThere("a receipt of paper " + id));
  }
}
