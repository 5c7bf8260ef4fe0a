package zinctally.web.setup;

import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Coin;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.read.Days;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.opening.OpeningStore;
import zinctally.store.sell.TaxStore;
import zinctally.store.setup.SetupStore;
import zinctally.web.shell.May;
import zinctally.web.shell.SetsUp;
import zinctally.web.shell.Typed;

/** The book itself: name, currency, cut-over date. A refusal changes nothing and says why. */
@Controller
class BookController {
  private final SetUp setUp;
  private final BookStore books;
  private final OpeningStore opening;
  private final SetupStore tables;
  private final TaxStore taxes;
  private final Trail trail;
  private final Clock clock;

  BookController(
      SetUp setUp,
      BookStore books,
      OpeningStore opening,
      SetupStore tables,
      TaxStore taxes,
      Trail trail,
      Clock clock) {
    this.trail = trail;
    this.clock = clock;
    this.setUp = setUp;
    this.books = books;
    this.opening = opening;
    this.tables = tables;
    this.taxes = taxes;
  }

  @GetMapping("/setup")
  String book(Model model) {
    model.addAttribute("forms", Form.values());
    model.addAttribute("figures", books.figuresOf(""));
    model.addAttribute("begun", books.begun());
    model.addAttribute("rates", tables.taxRatesInUse());
    model.addAttribute("usualTax", taxes.ofBook());
    model.addAttribute("steps", opening.firstSteps());
    return "setup/book";
  }

  @SetsUp
  @PostMapping("/setup")
  String saveBook(
      @RequestParam String name,
      @RequestParam String currency,
      @RequestParam String cutOver,
      @RequestParam(defaultValue = "false") boolean pricesIncludeTax,
      @RequestParam(required = false) Boolean shortStock,
      @RequestParam(required = false) String approver,
      @RequestParam(required = false) String approveFrom,
      @RequestParam(defaultValue = "false") boolean taxOnSums,
      @RequestParam(defaultValue = "") String usualTax,
      @RequestParam(defaultValue = "POINT") String figures,
      @RequestParam(defaultValue = "") String address,
      @RequestParam(defaultValue = "") String taxNumber,
      @RequestParam(defaultValue = "") String bank,
      Principal who,
      RedirectAttributes after) {
    if (address.length() > 500 || taxNumber.length() > 60 || bank.length() > 300)
      return Answer.wrong(
          after, "", "An address has at most 500 letters, a tax number 60, the bank's line 300.");
    return setUp.alone(
        () ->
            kept(
                name,
                currency,
                cutOver,
                pricesIncludeTax,
                shortStock,
                approver,
                approveFrom,
                taxOnSums,
                Form.of(figures),
                () -> {
                  books.letterhead(address.strip(), taxNumber.strip(), bank.strip());
                  taxes.ofBook(usualTax);
                },
                who,
                after));
  }

  private String kept(
      String name,
      String currency,
      String cutOver,
      boolean pricesIncludeTax,
      Boolean shortStock,
      String approver,
      String approveFrom,
      boolean taxOnSums,
      Form figures,
      Runnable more,
      Principal who,
      RedirectAttributes after) {
    Book now = books.book();
    boolean goesShort = shortStock == null ? now.shortStock() : shortStock;
    String approves = approver == null ? now.approver() : approver;
    Optional<Long> from = from(approveFrom, now);
    if (from.isEmpty())
      return Answer.wrong(
          after,
          "",
          "\"" + approveFrom + "\" is no amount; write it like 250, or 0 for every order.");
    boolean asItWas =
        goesShort == now.shortStock()
            && approves.equals(now.approver())
            && from.get() == now.approveFrom();
    if (!asItWas && !May.own(who))
      return Answer.wrong(
          after,
          "",
          "Who approves orders, and whether goods are sold that are not there, the owner says.");
    if (name.isBlank() || name.length() > 120)
      return Answer.wrong(after, "", "The book needs a name of at most 120 letters.");
    LocalDate today = LocalDate.now(clock);
    Optional<LocalDate> day = Days.read(cutOver, today, today);
    if (day.isEmpty())
      return Answer.wrong(after, "", "\"" + cutOver + "\" is not a date; write it as 2026-01-01.");
    try {
      Coin coin = Coin.of(currency);
      LocalDate date = day.get();
      if (books.begun() && !coin.equals(now.coin()))
        return Answer.wrong(
            after, "", "The currency stays " + now.coin().code() + ": papers are posted in it.");
      if (books.begun() && !date.equals(now.cutOver()))
        return Answer.wrong(
            after, "", "The cut-over date stays " + now.cutOver() + ": papers are posted since.");
      books.save(name.strip(), coin, date, pricesIncludeTax, goesShort);
      books.taxOnSums(taxOnSums);
      books.figures(figures);
      more.run();
      if (List.of("", "OWNER", "BOOKKEEPER").contains(approves))
        books.approver(approves, from.get());
    } catch (IllegalArgumentException unknown) {
      return Answer.wrong(
          after,
          "",
          "\"" + currency + "\" is no currency of ISO 4217; write three letters such as EUR.");
    }
    trail.leave(who, "book", 1, Optional.of(now), books.find());
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup";
  }

  /** From what amount orders are approved, minor units; empty when that cannot be read. */
  private static Optional<Long> from(String typed, Book now) {
    if (typed == null) return Optional.of(now.approveFrom());
    if (typed.isBlank()) return Optional.of(0L);
    return Figures.read(typed).filter(Typed.amount(12, now.coin().digits())).map(now.coin()::minor);
  }
}
