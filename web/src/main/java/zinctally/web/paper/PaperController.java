package zinctally.web.paper;

import java.security.Principal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Next;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.buy.OrderStore;
import zinctally.store.paper.ChainStore;
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

/** A posted paper: shown, and an order ended or approved. */
@Controller
class PaperController {
  private final PaperStore papers;
  private final PaperText texts;
  private final Catalogues catalogues;
  private final StillWaits waits;
  private final SettledStore settled;
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
      Catalogues catalogues,
      StillWaits waits,
      SettledStore settled,
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
    this.catalogues = catalogues;
    this.waits = waits;
    this.settled = settled;
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
    Set<Awaits> awaits = waits.of(paper);
    model.addAttribute("goesBack", Next.goesBack(paper.kind(), awaits));
    model.addAttribute("toMake", paper.kind().isToMake());
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

  /** What brings back what it moved, if somebody may write that. */
  static Optional<PaperKind> back(PostedPaper paper, Set<Awaits> awaits, Principal who) {
    if (paper.isVoid()) return Optional.empty();
    return Next.back(paper.kind(), awaits).filter(k -> May.write(who, k));
  }
}
