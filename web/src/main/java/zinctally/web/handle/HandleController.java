package zinctally.web.handle;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.goods.StockStore;
import zinctally.store.listing.ValuationListings;
import zinctally.store.paper.DraftStore;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.SetsUp;

/** What happens to goods between buying and selling. */
@Controller
class HandleController {
  private static final int MOST = 1000;
  private final ListingPage lists;
  private final StockStore stock;
  private final DraftStore drafts;
  private final BookStore books;
  private final Clock clock;

  HandleController(
      ListingPage lists, StockStore stock, DraftStore drafts, BookStore books, Clock clock) {
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
}
