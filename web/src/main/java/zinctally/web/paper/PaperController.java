package zinctally.web.paper;

import java.io.IOException;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.PaperKind.Trait;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OrderStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.store.posting.Ordering;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** A posted paper: shown, printed, written again as a new draft. */
@Controller
class PaperController {
  private final PaperStore papers;
  private final PaperText texts;
  private final DraftStore drafts;
  private final Catalogues catalogues;
  private final Clock clock;
  private final PaperPdf pdfs;
  private final UblInvoice ubl;
  private final OrderStore orders;
  private final Ordering ordering;
  private final BookStore books;

  PaperController(
      PaperStore papers,
      PaperText texts,
      DraftStore drafts,
      Catalogues catalogues,
      Clock clock,
      PaperPdf pdfs,
      UblInvoice ubl,
      OrderStore orders,
      Ordering ordering,
      BookStore books) {
    this.papers = papers;
    this.texts = texts;
    this.drafts = drafts;
    this.catalogues = catalogues;
    this.clock = clock;
    this.pdfs = pdfs;
    this.ubl = ubl;
    this.orders = orders;
    this.ordering = ordering;
    this.books = books;
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
    model.addAttribute("trade", paper.kind().is(Trait.PRICED));
    model.addAttribute("mayRepeat", paper.kind().is(Trait.REPEATS) && May.write(who, paper.kind()));
    model.addAttribute("valued", paper.kind().is(Trait.VALUED));
    model.addAttribute("sells", paper.kind().is(Trait.SELLS));
    Set<Awaits> awaits = awaits(paper);
    PaperKind back = returnKind(paper, awaits);
    model.addAttribute("mayReturn", back != null && May.write(who, back));
    if (paper.kind().is(Trait.SELLS)) model.addAttribute("earned", papers.earned(id));
    model.addAttribute("handed", paper.kind().is(Trait.HANDED));
    model.addAttribute("followers", orders.followers(id));
    model.addAttribute("settles", papers.settles(id));
    model.addAttribute("settledBy", papers.settledBy(id));
    model.addAttribute("paid", paper.kind().is(Trait.PAYS) ? paper.total() : null);
    boolean brought = paper.kind().is(Trait.BRINGS_IN);
    model.addAttribute("waitedFor", brought && !paper.isVoid() ? orders.waitingFor(id) : List.of());
    model.addAttribute("goesOn", paper.isVoid() ? List.of() : goesOn(paper, awaits, who));
    orders
        .head(id)
        .ifPresent(
            head -> {
              model.addAttribute("order", head);
              model.addAttribute("mayApprove", May.approve(who, books.book().approver()));
              model.addAttribute("orderLines", orders.lines(id));
            });
    return "paper/posted";
  }

  /**
   * A paper that can be written from this one, and the button for it.
   *
   * @param goods when its goods move: with it, or later
   */
  public record Next(PaperKind kind, String words, String goods) {
    Next(PaperKind kind, String words) {
      this(kind, words, "with");
    }
  }

  /** What its lines still wait for; nothing once it is void. */
  private Set<Awaits> awaits(PostedPaper paper) {
    return catalogues.open().awaited(paper.number()).stream()
        .filter(a -> a.openQuantity() > 0 && a.number().equals(paper.number()))
        .filter(a -> a.order().open())
        .map(Awaited::what)
        .collect(Collectors.toSet());
  }

  private static List<Next> goesOn(PostedPaper paper, Set<Awaits> awaits, Principal who) {
    List<Next> next = new ArrayList<>();
    if (awaits.contains(Awaits.ORDERED_GOODS) || awaits.contains(Awaits.BILLED_GOODS))
      next.add(new Next(PaperKind.RECEIPT, "Goods have come"));
    if (awaits.contains(Awaits.ORDERED_BILL) || awaits.contains(Awaits.RECEIVED_BILL))
      next.add(new Next(PaperKind.BILL, "Bill has come"));
    if (awaits.contains(Awaits.PROMISED_GOODS) || awaits.contains(Awaits.INVOICED_GOODS))
      next.add(new Next(PaperKind.DELIVERY, "Deliver what is here"));
    if (awaits.contains(Awaits.SENT_INVOICE))
      next.add(new Next(PaperKind.INVOICE, "Invoice what went"));
    if (awaits.contains(Awaits.PROMISED_INVOICE)) {
      next.add(new Next(PaperKind.INVOICE, "Send and invoice"));
      if (awaits.contains(Awaits.PROMISED_GOODS))
        next.add(new Next(PaperKind.INVOICE, "Invoice ahead", "later"));
    }
    boolean owed = paper.dues().stream().anyMatch(d -> d.open() < 0);
    if (owed && paper.kind() == PaperKind.BILL)
      next.add(new Next(PaperKind.SUPPLIER_PAYMENT, "Pay"));
    if (paper.kind().is(Trait.SELLS) && paper.dues().stream().anyMatch(d -> d.open() > 0))
      next.add(new Next(PaperKind.CUSTOMER_PAYMENT, "Payment has come"));
    if (paper.kind() == PaperKind.CUSTOMER_RETURN && owed)
      next.add(new Next(PaperKind.COUNTER_SALE, "Exchange over the counter"));
    boolean due = paper.dues().stream().anyMatch(d -> d.open() > 0 && d.open() == d.amount());
    if (due && paper.kind() == PaperKind.SUPPLIER_RETURN)
      next.add(new Next(PaperKind.SUPPLIER_CREDIT, "Credit note has come"));
    return next.stream().filter(n -> May.write(who, n.kind())).toList();
  }

  @ByKind
  @PostMapping("/papers/{id}/end")
  String endOrder(@PathVariable long id, Principal who, RedirectAttributes after) {
    return changed(
        id,
        who,
        after,
        () -> ordering.end(id, who.getName()),
        "What was still to come is cancelled.");
  }

  @ByKind
  @PostMapping("/papers/{id}/approve")
  String approveOrder(@PathVariable long id, Principal who, RedirectAttributes after) {
    return changed(id, who, after, () -> ordering.approve(id, who.getName()), "Approved.");
  }

  private String changed(
      long id, Principal who, RedirectAttributes after, Runnable change, String told) {
    May.must(May.write(who, paper(id).kind()));
    try {
      change.run();
      after.addFlashAttribute("told", told);
    } catch (Refused refused) {
      after.addFlashAttribute("wrong", refused.faults().get(0).says());
    }
    return "redirect:/papers/" + id;
  }

  private static PaperKind returnKind(PostedPaper paper, Set<Awaits> awaits) {
    if (paper.isVoid()) return null;
    return switch (paper.kind()) {
      case BILL, RECEIPT -> PaperKind.SUPPLIER_RETURN;
      case INVOICE, COUNTER_SALE -> PaperKind.CUSTOMER_RETURN;
      case DELIVERY -> awaits.contains(Awaits.SENT_INVOICE) ? PaperKind.CUSTOMER_RETURN : null;
      default -> null;
    };
  }

  /** A return of all that can still go back; lines that stay are taken out of the draft. */
  @ByKind
  @PostMapping("/papers/{id}/return")
  String giveBack(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    PaperKind kind = returnKind(paper, awaits(paper));
    May.must(kind != null && May.write(who, kind));
    List<Map<String, String>> rows =
        Returnable.of(paper.number(), catalogues.open().traded(paper.number()));
    Map<String, String> fields = new HashMap<>();
    fields.put("date", LocalDate.now(clock).toString());
    fields.put(kind == PaperKind.SUPPLIER_RETURN ? "supplier" : "customer", paper.partyName());
    fields.put("place", paper.place());
    return "redirect:/drafts/" + drafts.begin(new Draft(kind, fields, rows), who.getName());
  }

  @ByKind
  @PostMapping("/papers/{id}/copy")
  String copy(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    May.must(May.write(who, paper.kind()) && PaperForm.of(paper.kind()) != null);
    return "redirect:/drafts/"
        + drafts.begin(
            TypedDraft.asItStood(texts.read(id, paper.version(), paper.kind()))
                .without(List.of(Draft.AGREED)),
            who.getName());
  }

  /** A journal by hand turned round: the one-step mend for what keeps books apart. */
  @ByKind
  @PostMapping("/papers/{id}/reverse")
  String reverse(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    May.must(paper.kind() == PaperKind.JOURNAL && May.write(who, paper.kind()));
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

  /** An invoice as a UBL 2.1 file. */
  @GetMapping("/papers/{id}/ubl")
  ResponseEntity<byte[]> ubl(@PathVariable long id) {
    PostedPaper paper = paper(id);
    if (!paper.kind().is(Trait.SELLS) || paper.isVoid())
      throw new NotThere("a UBL file of " + paper.number());
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_XML)
        .header("Content-Disposition", "attachment; filename=\"" + paper.number() + ".xml\"")
        .body(ubl.of(paper));
  }

  @GetMapping("/papers/{id}/pdf")
  ResponseEntity<byte[]> pdf(@PathVariable long id) throws IOException {
    PostedPaper paper = paper(id);
    if (!paper.kind().is(Trait.HANDED)) throw new NotThere("a PDF of " + paper.number());
    if (orders.head(id).filter(order -> !order.approved()).isPresent())
      throw new NotThere("a PDF of " + paper.number() + " before it is approved");
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header("Content-Disposition", "inline; filename=\"" + paper.number() + ".pdf\"")
        .body(
            paper.kind().is(Trait.PAYS)
                ? pdfs.payment(paper, papers.settles(id))
                : pdfs.handed(paper));
  }
}
