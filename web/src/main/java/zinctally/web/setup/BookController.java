package zinctally.web.setup;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Coin;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.opening.OpeningStore;

/** The book itself: name, currency, cut-over date. A refusal changes nothing and says why. */
@Controller
class BookController {
  private final BookStore books;
  private final OpeningStore opening;

  BookController(BookStore books, OpeningStore opening) {
    this.books = books;
    this.opening = opening;
  }

  @GetMapping("/setup")
  String book(Model model) {
    model.addAttribute("tab", "book");
    model.addAttribute("begun", books.begun());
    model.addAttribute("steps", opening.firstSteps());
    return "setup/book";
  }

  @PostMapping("/setup")
  String saveBook(
      @RequestParam String name,
      @RequestParam String currency,
      @RequestParam String cutOver,
      @RequestParam(defaultValue = "false") boolean pricesIncludeTax,
      @RequestParam(defaultValue = "false") boolean shortStock,
      @RequestParam(defaultValue = "") String approver,
      @RequestParam(defaultValue = "false") boolean taxOnSums,
      RedirectAttributes after) {
    Book now = books.book();
    if (name.isBlank() || name.length() > 120)
      return Answer.wrong(after, "", "The book needs a name of at most 120 letters.");
    try {
      Coin coin = Coin.of(currency);
      LocalDate date = LocalDate.parse(cutOver);
      if (books.begun() && !coin.equals(now.coin()))
        return Answer.wrong(
            after, "", "The currency stays " + now.coin().code() + ": papers are posted in it.");
      if (books.begun() && !date.equals(now.cutOver()))
        return Answer.wrong(
            after, "", "The cut-over date stays " + now.cutOver() + ": papers are posted since.");
      books.save(name.strip(), coin, date, pricesIncludeTax, shortStock);
      books.taxOnSums(taxOnSums);
      if (List.of("", "OWNER", "BOOKKEEPER").contains(approver)) books.approver(approver);
    } catch (IllegalArgumentException unknown) {
      return Answer.wrong(
          after,
          "",
          "\"" + currency + "\" is no currency of ISO 4217; write three letters such as EUR.");
    } catch (DateTimeException notADate) {
      return Answer.wrong(after, "", "\"" + cutOver + "\" is not a date; write it as 2026-01-01.");
    }
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup";
  }
}
