package zinctally.web.ask;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listings;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.AtDate;

/** Ready answers. */
@Controller
class AskController {
  private static final AreaPage.Tabs TABS =
      new AreaPage.Tabs(
          "ask",
          "Ask",
          new AreaPage.Tab("Valuation", "/ask"),
          new AreaPage.Tab("What is where", "/ask/places"),
          new AreaPage.Tab("Under reorder point", "/ask/reorder"),
          new AreaPage.Tab("Sold short", "/ask/short"),
          new AreaPage.Tab("Audit trail", "/ask/audit"));
  private final AreaPage page;
  private final BookStore books;
  private final Clock clock;

  AskController(AreaPage page, BookStore books, Clock clock) {
    this.page = page;
    this.books = books;
    this.clock = clock;
  }

  @GetMapping("/ask")
  String valuation(
      @RequestParam(defaultValue = "") String date,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    LocalDate at = AtDate.read(date, clock, model);
    model.addAttribute("date", at);
    return page.show(TABS, valuation(at), model, request, response);
  }

  private Listing valuation(LocalDate at) {
    long before = ChronoUnit.DAYS.between(books.book().cutOver(), at);
    long since = ChronoUnit.DAYS.between(at, LocalDate.now(clock));
    return Listings.valuation(at, since < before);
  }

  @GetMapping("/ask/places")
  String places(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, Listings.placeStock(), model, request, response);
  }

  @GetMapping("/ask/reorder")
  String reorder(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, Listings.reorder(), model, request, response);
  }

  @GetMapping("/ask/short")
  String sold(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, Listings.uncovered(), model, request, response);
  }

  @GetMapping("/ask/audit")
  String audit(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, Listings.audit(), model, request, response);
  }
}
