package zinctally.web.paper;

import java.io.IOException;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.server.ResponseStatusException;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** A posted paper: shown, printed, written again as a new draft. */
@Controller
class PaperController {
  private static final Set<PaperKind> VALUED =
      EnumSet.of(PaperKind.CHARGE, PaperKind.SUPPLIER_RETURN, PaperKind.CUSTOMER_RETURN);
  private final PaperStore papers;
  private final PaperText texts;
  private final DraftStore drafts;
  private final Catalogues catalogues;
  private final Clock clock;
  private final InvoicePdf pdfs;

  PaperController(
      PaperStore papers,
      PaperText texts,
      DraftStore drafts,
      Catalogues catalogues,
      Clock clock,
      InvoicePdf pdfs) {
    this.papers = papers;
    this.texts = texts;
    this.drafts = drafts;
    this.catalogues = catalogues;
    this.clock = clock;
    this.pdfs = pdfs;
  }

  private PostedPaper paper(long id) {
    return papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
  }

  @GetMapping("/papers/{id}")
  String show(@PathVariable long id, Model model, Principal who) {
    PostedPaper paper = paper(id);
    model.addAttribute("paper", paper);
    model.addAttribute("versions", texts.versions(id));
    model.addAttribute("voiding", texts.voiding(id).orElse(null));
    model.addAttribute("mayChange", May.write(who, paper.kind()) && !paper.isVoid());
    model.addAttribute(
        "mayCopy", May.write(who, paper.kind()) && PaperForm.of(paper.kind()) != null);
    model.addAttribute(
        "trade", paper.kind() == PaperKind.BILL || paper.kind() == PaperKind.INVOICE);
    model.addAttribute("valued", VALUED.contains(paper.kind()));
    model.addAttribute("mayReturn", returnKind(paper) != null && May.write(who, returnKind(paper)));
    return "paper/posted";
  }

  private static PaperKind returnKind(PostedPaper paper) {
    if (paper.isVoid()) return null;
    return switch (paper.kind()) {
      case BILL -> PaperKind.SUPPLIER_RETURN;
      case INVOICE -> PaperKind.CUSTOMER_RETURN;
      default -> null;
    };
  }

  /** A return of all that can still go back; lines that stay are taken out of the draft. */
  @PostMapping("/papers/{id}/return")
  String giveBack(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    PaperKind kind = returnKind(paper);
    if (kind == null || !May.write(who, kind))
      throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    List<Map<String, String>> rows =
        catalogues.open().traded(paper.number()).stream()
            .filter(line -> line.returnable() > 0)
            .map(
                line ->
                    Map.of(
                        "paper", paper.number(),
                        "item", line.item().code(),
                        "quantity", line.item().units().say(new Quantity(line.returnable()))))
            .toList();
    Map<String, String> fields = new HashMap<>();
    fields.put("date", LocalDate.now(clock).toString());
    fields.put(kind == PaperKind.SUPPLIER_RETURN ? "supplier" : "customer", paper.partyName());
    fields.put("place", paper.place());
    return "redirect:/drafts/" + drafts.begin(new Draft(kind, fields, rows), who.getName());
  }

  @PostMapping("/papers/{id}/copy")
  String copy(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    if (!May.write(who, paper.kind()) || PaperForm.of(paper.kind()) == null)
      throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    return "redirect:/drafts/"
        + drafts.begin(texts.read(id, paper.version(), paper.kind()), who.getName());
  }

  /** A journal by hand turned round: the one-step mend for what keeps books apart. */
  @PostMapping("/papers/{id}/reverse")
  String reverse(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    if (paper.kind() != PaperKind.JOURNAL || !May.write(who, paper.kind()))
      throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    Draft old = texts.read(id, paper.version(), paper.kind());
    List<Map<String, String>> rows =
        old.rows().stream()
            .map(
                row -> {
                  Map<String, String> turned = new HashMap<>(row);
                  turned.put("debit", row.getOrDefault("credit", ""));
                  turned.put("credit", row.getOrDefault("debit", ""));
                  return turned;
                })
            .toList();
    Map<String, String> fields = new HashMap<>(old.fields());
    fields.put("override", "Reverses " + paper.number());
    return "redirect:/drafts/"
        + drafts.begin(new Draft(PaperKind.JOURNAL, fields, rows), who.getName());
  }

  @GetMapping("/papers/{id}/pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long id) throws IOException {
    PostedPaper paper = paper(id);
    if (paper.kind() != PaperKind.INVOICE) throw new NotThere("a PDF of " + paper.number());
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header("Content-Disposition", "inline; filename=\"" + paper.number() + ".pdf\"")
        .body(pdfs.invoice(paper));
  }
}
