package zinctally.web.prove;

import java.security.Principal;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.book.BookStore;
import zinctally.store.check.Closing;
import zinctally.store.prove.PeriodStore;
import zinctally.store.statement.LayoutStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Owns;
import zinctally.web.shell.SetsUp;

/** Months: closing them, and opening the last one again. */
@Controller
class PeriodController {
  private final PeriodStore periods;
  private final Closing closing;
  private final LayoutStore layouts;
  private final BookStore books;
  private final Clock clock;

  PeriodController(
      PeriodStore periods, Closing closing, LayoutStore layouts, BookStore books, Clock clock) {
    this.layouts = layouts;
    this.books = books;
    this.clock = clock;
    this.closing = closing;
    this.periods = periods;
  }

  @GetMapping("/prove/periods")
  String list(Model model) {
    model.addAttribute("periods", periods.periods());
    return "prove/periods";
  }

  private static LocalDate month(String typed) {
    try {
      return YearMonth.parse(typed).atDay(1);
    } catch (DateTimeException notAMonth) {
      throw new NotThere("month " + typed);
    }
  }

  /** What is still unsettled, before a month is closed. */
  @GetMapping("/prove/periods/{month}")
  String ask(@PathVariable String month, Model model) {
    LocalDate first = month(month);
    model.addAttribute(
        "period",
        periods.periods().stream()
            .filter(p -> p.month().equals(first))
            .findFirst()
            .orElseThrow(() -> new NotThere("month " + month)));
    List<PeriodStore.Unsettled> unsettled = periods.unsettled(first);
    model.addAttribute("unsettled", unsettled);
    model.addAttribute("seen", PeriodStore.fingerprint(unsettled));
    return "prove/period";
  }

  @SetsUp
  @PostMapping("/prove/periods/{month}/close")
  String close(
      @PathVariable String month,
      @RequestParam(defaultValue = "") String seen,
      Principal who,
      RedirectAttributes after) {
    try {
      closing.close(month(month), seen, who.getName());
      after.addFlashAttribute("told", month + " is closed.");
      return "redirect:/prove/periods";
    } catch (PeriodStore.Wrong refused) {
      after.addFlashAttribute("wrong", refused.getMessage());
      return "redirect:/prove/periods/" + month;
    }
  }

  /** The year that the next open month is in, before it is closed whole. */
  @GetMapping("/prove/periods/year")
  String askYear(Model model) {
    LocalDate last = lastOfYear();
    List<PeriodStore.Unsettled> unsettled = periods.unsettled(last);
    model.addAttribute(
        "months",
        periods.periods().stream().filter(p -> !p.closed() && !p.month().isAfter(last)).toList());
    model.addAttribute("last", last.plusMonths(1).minusDays(1));
    model.addAttribute("over", last.plusMonths(1).minusDays(1).isBefore(LocalDate.now(clock)));
    model.addAttribute("unsettled", unsettled);
    model.addAttribute("seen", PeriodStore.fingerprint(unsettled));
    return "prove/year";
  }

  @SetsUp
  @PostMapping("/prove/periods/year")
  String closeYear(
      @RequestParam(defaultValue = "") String seen, Principal who, RedirectAttributes after) {
    LocalDate last = lastOfYear();
    try {
      closing.closeYear(last, seen, who.getName());
      after.addFlashAttribute(
          "told", "The year to " + last.plusMonths(1).minusDays(1) + " is closed and sealed.");
      return "redirect:/prove/periods";
    } catch (PeriodStore.Wrong refused) {
      after.addFlashAttribute("wrong", refused.getMessage());
      return "redirect:/prove/periods/year";
    }
  }

  /** The last month of the year that the next month to close is in. */
  private LocalDate lastOfYear() {
    return layouts.year().end(books.book().firstOpenDay()).withDayOfMonth(1);
  }

  @Owns
  @PostMapping("/prove/periods/{month}/reopen")
  String reopen(
      @PathVariable String month,
      @RequestParam(defaultValue = "") String why,
      Principal who,
      RedirectAttributes after) {
    try {
      periods.reopen(month(month), why.strip(), who.getName());
      after.addFlashAttribute("told", month + " is open again.");
      return "redirect:/prove/periods";
    } catch (PeriodStore.Wrong refused) {
      after.addFlashAttribute("wrong", refused.getMessage());
      return "redirect:/prove/periods/" + month;
    }
  }
}
