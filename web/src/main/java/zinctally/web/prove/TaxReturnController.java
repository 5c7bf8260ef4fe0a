package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.tax.TaxBox;
import zinctally.core.papers.tax.TaxDays;
import zinctally.store.listing.Listing;
import zinctally.store.listing.TaxListings;
import zinctally.store.paper.DraftStore;
import zinctally.store.tax.TaxBoxStore;
import zinctally.store.tax.TaxReturnStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.paper.Heads;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;

/** What of tax waits to be declared, box by box, and the return that settles it. */
@Controller
class TaxReturnController {
  private static final String PAGE = "/prove/tax/return";
  private final AreaPage page;
  private final TaxReturnStore returns;
  private final TaxBoxStore boxes;
  private final DraftStore drafts;
  private final Heads heads;
  private final Clock clock;

  TaxReturnController(
      AreaPage page,
      TaxReturnStore returns,
      TaxBoxStore boxes,
      DraftStore drafts,
      Heads heads,
      Clock clock) {
    this.page = page;
    this.returns = returns;
    this.boxes = boxes;
    this.drafts = drafts;
    this.heads = heads;
    this.clock = clock;
  }

  private TaxDays days(String from, String to, Model model) {
    TaxDays next = returns.next(LocalDate.now(clock));
    DaySpan days = DaySpan.read(from, to, next.from(), next.to(), model);
    model.addAttribute("days", days);
    return new TaxDays(days.from(), days.to());
  }

  @GetMapping(PAGE)
  String due(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      Principal who,
      HttpServletRequest request) {
    TaxDays days = days(from, to, model);
    page.tabs(PAGE, model, request);
    model.addAttribute("waiting", returns.waiting(days));
    model.addAttribute("latest", returns.latest());
    model.addAttribute("over", days.to().isBefore(LocalDate.now(clock)));
    model.addAttribute("maySettle", May.write(who, PaperKind.TAX_RETURN));
    return "prove/tax-return";
  }

  /** The papers behind a box that is to be declared, or behind a return that was. */
  @GetMapping(PAGE + "/papers")
  @Nullable String papers(
      @RequestParam(defaultValue = "") String box,
      @RequestParam(defaultValue = "0") long of,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    Listing listing = of == 0 ? waiting(box, days(from, to, model)) : declared(of);
    return page.under(PAGE, listing, model, request, response);
  }

  private Listing waiting(String code, TaxDays days) {
    TaxBox box =
        boxes.boxes().stream()
            .map(TaxBoxStore.Placed::box)
            .filter(b -> b.code().equals(code))
            .findFirst()
            .orElseThrow(() -> new NotThere("box " + code));
    return TaxListings.waiting(box, days.from(), days.to());
  }

  private Listing declared(long paper) {
    TaxReturnStore.Declared of =
        returns.of(paper).orElseThrow(() -> new NotThere("tax return " + paper));
    return TaxListings.declared(paper, of.number(), of.days().from());
  }

  /** Drafts the return of what waits. */
  @ByKind
  @PostMapping(PAGE)
  String settle(@RequestParam LocalDate from, @RequestParam LocalDate to, Principal who) {
    May.must(May.write(who, PaperKind.TAX_RETURN));
    Map<String, String> fields = new HashMap<>(heads.defaults(PaperKind.TAX_RETURN));
    fields.putAll(heads.declares(new TaxDays(from, to)));
    return "redirect:/drafts/"
        + drafts.begin(new Draft(PaperKind.TAX_RETURN, fields, List.of()), who.getName());
  }
}
