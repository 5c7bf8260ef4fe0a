package zinctally.web.paper;

import java.io.IOException;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.ContentDisposition;
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
import zinctally.core.papers.Party;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Next;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OrderStore;
import zinctally.store.paper.ChainStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.store.paper.SettledStore;
import zinctally.store.posting.Ordering;
import zinctally.store.tax.TaxReturnStore;
import zinctally.web.paper.form.Forms;
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
  private final AccountPdf accounts;
  private final SettledStore settled;
  private final UblInvoice ubl;
  private final OrderStore orders;
  private final List<Followed> followed;
  private final Ordering ordering;
  private final BookStore books;
  private final Forms forms;
  private final ChainStore chains;
  private final TaxReturnStore taxReturns;

  PaperController(
      PaperStore papers,
      PaperText texts,
      DraftStore drafts,
      Catalogues catalogues,
      Clock clock,
      PaperPdf pdfs,
      AccountPdf accounts,
      SettledStore settled,
      UblInvoice ubl,
      OrderStore orders,
      List<Followed> followed,
      Ordering ordering,
      BookStore books,
      Forms forms,
      ChainStore chains,
      TaxReturnStore taxReturns) {
    this.taxReturns = taxReturns;
    this.chains = chains;
    this.forms = forms;
    this.papers = papers;
    this.texts = texts;
    this.drafts = drafts;
    this.catalogues = catalogues;
    this.clock = clock;
    this.pdfs = pdfs;
    this.accounts = accounts;
    this.settled = settled;
    this.ubl = ubl;
    this.orders = orders;
    this.followed = followed;
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
    model.addAttribute("mayCopy", May.write(who, paper.kind()) && forms.has(paper.kind()));
    model.addAttribute("trade", paper.kind().is(Trait.PRICED));
    model.addAttribute("mayRepeat", paper.kind().is(Trait.REPEATS) && May.write(who, paper.kind()));
    model.addAttribute("valued", paper.kind().is(Trait.VALUED));
    model.addAttribute("sells", paper.kind().is(Trait.SELLS));
    model.addAttribute(
        "labels",
        paper.kind().is(Trait.LABELLED) && !paper.isVoid() ? LabelSheets.of(paper) : List.of());
    model.addAttribute("declares", paper.kind().is(Trait.DECLARES));
    if (paper.kind().is(Trait.DECLARES))
      model.addAttribute(
          "declared", taxReturns.of(id).map(TaxReturnStore.Declared::days).orElse(null));
    model.addAttribute("agrees", paper.kind().is(Trait.AGREES));
    model.addAttribute("others", paper.kind().is(Trait.OTHERS_ONLY));
    model.addAttribute("across", paper.kind().is(Trait.ACROSS));
    boolean recipe = paper.kind().is(Trait.RECIPES);
    model.addAttribute("recipe", recipe);
    model.addAttribute("adds", recipe || paper.kind().is(Trait.MAKES));
    Set<Awaits> awaits = awaits(paper);
    model.addAttribute("goesBack", Next.goesBack(paper.kind(), awaits));
    model.addAttribute("toMake", paper.kind().is(Trait.ORDERS) && paper.kind().side().isEmpty());
    model.addAttribute("onTheWay", awaits.contains(Awaits.ON_THE_WAY));
    model.addAttribute("mayReturn", back(paper, awaits, who).isPresent());
    if (paper.kind().is(Trait.SELLS)) model.addAttribute("earned", papers.earned(id));
    model.addAttribute("handed", paper.kind().is(Trait.HANDED));
    model.addAttribute("followers", orders.followers(id));
    List<ChainStore.Step> chain = chains.of(id);
    model.addAttribute("chain", chain.size() > 1 ? chain : List.of());
    model.addAttribute("settles", settled.settles(id));
    model.addAttribute("settledBy", settled.settledBy(id));
    model.addAttribute("paid", paper.kind().is(Trait.PAYS) ? paper.total() : null);
    boolean brought = paper.kind().is(Trait.BRINGS_IN);
    model.addAttribute("brought", brought);
    model.addAttribute("charged", brought || anew(paper));
    model.addAttribute("selling", paper.kind().isWith(Party.Kind.CUSTOMER));
    model.addAttribute("byHand", paper.kind().is(Trait.BY_HAND));
    model.addAttribute(
        "waitedFor",
        (brought || paper.kind().is(Trait.MAKES)) && !paper.isVoid()
            ? orders.waitingFor(id)
            : List.of());
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

  /** Whether goods came back with it that can be charged with what mending costs. */
  private boolean anew(PostedPaper paper) {
    return paper.kind().is(Trait.ANEW)
        && !paper.isVoid()
        && !catalogues.open().traded(paper.number()).isEmpty();
  }

  /** What its lines still wait for; nothing once it is void. */
  private Set<Awaits> awaits(PostedPaper paper) {
    return catalogues.open().awaited(paper.number()).stream()
        .filter(a -> a.openQuantity() > 0 && a.number().equals(paper.number()))
        .filter(a -> a.order().open())
        .map(Awaited::what)
        .collect(Collectors.toSet());
  }

  private List<Next> goesOn(PostedPaper paper, Set<Awaits> awaits, Principal who) {
    boolean owing = paper.dues().stream().anyMatch(d -> d.open() < 0);
    boolean owed = paper.dues().stream().anyMatch(d -> d.open() > 0);
    boolean whole = paper.dues().stream().anyMatch(d -> d.open() > 0 && d.open() == d.amount());
    return Next.after(paper.kind(), new Next.Open(awaits, owing, owed, whole)).stream()
        .filter(n -> May.write(who, n.kind()))
        .filter(
            n ->
                followed.stream()
                    .filter(f -> f.begins(paper, n.kind()))
                    .allMatch(f -> f.offers(paper)))
        .toList();
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

  private static Optional<PaperKind> back(PostedPaper paper, Set<Awaits> awaits, Principal who) {
    if (paper.isVoid()) return Optional.empty();
    return Next.back(paper.kind(), awaits).filter(k -> May.write(who, k));
  }

  /** A return of all that can still go back; lines that stay are taken out of the draft. */
  @ByKind
  @PostMapping("/papers/{id}/return")
  String giveBack(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    Optional<PaperKind> back = back(paper, awaits(paper), who);
    May.must(back.isPresent());
    PaperKind kind = back.get();
    List<Map<String, String>> rows =
        Returnable.of(paper.number(), catalogues.open().traded(paper.number()));
    Map<String, String> fields = new HashMap<>();
    fields.put("date", LocalDate.now(clock).toString());
    kind.side().ifPresent(side -> fields.put(side.field(), paper.partyName()));
    fields.put("place", paper.place());
    return "redirect:/drafts/" + drafts.begin(new Draft(kind, fields, rows), who.getName());
  }

  @ByKind
  @PostMapping("/papers/{id}/copy")
  String copy(@PathVariable long id, Principal who) {
    PostedPaper paper = paper(id);
    May.must(May.write(who, paper.kind()) && forms.has(paper.kind()));
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
    May.must(paper.kind().is(Trait.BY_HAND) && May.write(who, paper.kind()));
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
    return "redirect:/drafts/" + drafts.begin(new Draft(paper.kind(), fields, rows), who.getName());
  }

  /** An invoice as a UBL 2.1 file. */
  @GetMapping("/papers/{id}/ubl")
  ResponseEntity<byte[]> ubl(@PathVariable long id) {
    PostedPaper paper = paper(id);
    if (!paper.kind().is(Trait.SELLS) || paper.isVoid())
      throw new NotThere("a UBL file of " + paper.number());
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_XML)
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.attachment().filename(paper.number() + ".xml").build()))
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
        .headers(
            h ->
                h.setContentDisposition(
                    ContentDisposition.inline().filename(paper.number() + ".pdf").build()))
        .body(
            paper.kind().is(Trait.PAYS)
                ? accounts.payment(paper, settled.settles(id))
                : pdfs.handed(paper));
  }
}
