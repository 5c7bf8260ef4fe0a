package zinctally.web.handle;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookStore;
import zinctally.store.book.Catalogues;
import zinctally.store.book.SetUp;
import zinctally.store.goods.StockStore;
import zinctally.store.handle.Refills;
import zinctally.store.listing.Ask;
import zinctally.store.listing.HandleListings;
import zinctally.store.listing.ValuationListings;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.PostedPaper;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.ByKind;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** What happens to goods between buying and selling. */
@Controller
class HandleController {
  private static final int MOST = 1000;
  private final ListingPage lists;
  private final StockStore stock;
  private final DraftStore drafts;
  private final BookStore books;
  private final PaperStore papers;
  private final PaperText texts;
  private final Catalogues catalogues;
  private final Refills refills;
  private final SetUp setUp;
  private final Clock clock;

  HandleController(
      ListingPage lists,
      StockStore stock,
      DraftStore drafts,
      BookStore books,
      PaperStore papers,
      PaperText texts,
      Catalogues catalogues,
      Refills refills,
      SetUp setUp,
      Clock clock) {
    this.papers = papers;
    this.texts = texts;
    this.catalogues = catalogues;
    this.refills = refills;
    this.setUp = setUp;
    this.lists = lists;
    this.stock = stock;
    this.drafts = drafts;
    this.books = books;
    this.clock = clock;
  }

  /** Goods that stand above what they would fetch, and those that have risen again. */
  @GetMapping("/handle/proposal")
  @Nullable String proposal(
      @RequestParam(defaultValue = "") String percent,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    BigDecimal toSell = percent(percent, model);
    model.addAttribute("percent", Figures.plain(toSell));
    return lists.show(
        ValuationListings.writeDowns(toSell, books.book().coin()),
        "handle/proposal",
        model,
        request,
        response);
  }

  private static BigDecimal percent(String typed, Model model) {
    if (typed.isBlank()) return BigDecimal.ZERO;
    Optional<BigDecimal> read = Figures.read(typed.replace("%", ""));
    if (read.isPresent()
        && read.get().signum() >= 0
        && read.get().compareTo(BigDecimal.valueOf(100)) <= 0
        && read.get().scale() <= 4) return read.get();
    String kept = typed.length() > 40 ? typed.substring(0, 40) : typed;
    model.addAttribute("wrong", "\"" + kept + "\" is no percent between 0 and 100.");
    return BigDecimal.ZERO;
  }

  /** The whole proposal as a draft. */
  @SetsUp
  @PostMapping("/handle/proposal")
  String draft(@RequestParam(defaultValue = "") String percent, Model model, Principal who) {
    BigDecimal toSell = percent(percent, model);
    List<Map<String, String>> rows =
        stock.toWriteDown(toSell, books.book().coin(), MOST).stream()
            .map(
                p -> {
                  BigDecimal cost = p.price().multiply(toSell).movePointLeft(2);
                  return Map.of(
                      "item", p.code(),
                      "price", Figures.plain(books.book().coin().price(p.price())),
                      "to_sell",
                          cost.setScale(6, RoundingMode.HALF_UP)
                              .stripTrailingZeros()
                              .toPlainString());
                })
            .toList();
    Map<String, String> fields = Map.of("date", LocalDate.now(clock).toString());
    return "redirect:/drafts/"
        + drafts.begin(new Draft(PaperKind.WRITE_DOWN, fields, rows), who.getName());
  }

  /** The goods that a paper brought to a place, to be taken to another; or back again. */
  @ByKind
  @PostMapping("/papers/{id:\\d+}/elsewhere")
  String elsewhere(@PathVariable long id, Principal who) {
    May.must(May.write(who, PaperKind.TRANSFER));
    PostedPaper paper =
        papers
            .find(id)
            .filter(p -> !p.isVoid())
            .filter(p -> p.kind().is(Trait.BRINGS_IN) || p.kind().is(Trait.ACROSS))
            .orElseThrow(() -> new NotThere("goods that paper " + id + " brought"));
    Draft text = texts.read(id, paper.version(), paper.kind());
    Catalogue book = catalogues.open();
    List<Map<String, String>> rows =
        text.rows().stream()
            .filter(r -> book.item(r.getOrDefault("item", "")).filter(Item::stocked).isPresent())
            .map(HandleController::goods)
            .toList();
    Map<String, String> fields = new HashMap<>();
    fields.put("date", LocalDate.now(clock).toString());
    fields.put("place", text.field(paper.kind().is(Trait.ACROSS) ? "into" : "place"));
    if (paper.kind().is(Trait.ACROSS)) fields.put("into", text.field("place"));
    return "redirect:/drafts/"
        + drafts.begin(
            new Draft(PaperKind.TRANSFER, fields, rows).inForm(text.form()), who.getName());
  }

  private static Map<String, String> goods(Map<String, String> row) {
    Map<String, String> goods = new HashMap<>();
    for (String column : List.of("item", "quantity", "numbers"))
      goods.put(column, row.getOrDefault(column, ""));
    return goods;
  }

  /** Drafts one transfer for each two places, of all the list of short places shows. */
  @SetsUp
  @PostMapping("/handle/short")
  String bring(HttpServletRequest request, Principal who, RedirectAttributes after) {
    Ask ask = lists.ask(HandleListings.wanting(), request);
    List<Long> begun = setUp.alone(() -> refills.draft(ask, LocalDate.now(clock), who.getName()));
    if (begun.size() == 1) return "redirect:/drafts/" + begun.get(0);
    after.addFlashAttribute(
        "told",
        begun.isEmpty()
            ? "Nothing was drafted: no other place can spare any of it, or drafts bring it already."
            : begun.size() + " transfers are drafted, one for each two places; they wait here.");
    return begun.isEmpty() ? "redirect:/handle/short" : "redirect:/";
  }
}
