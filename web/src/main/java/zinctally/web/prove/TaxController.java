package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.listing.TaxListings;
import zinctally.store.sell.TaxStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListPage;
import zinctally.web.shell.DaySpan;

/** Tax by period and rate, tied out to the tax accounts, with the papers behind it. */
@Controller
class TaxController {
  private final AreaPage page;
  private final TaxStore taxes;
  private final Clock clock;

  TaxController(AreaPage page, TaxStore taxes, Clock clock) {
    this.page = page;
    this.taxes = taxes;
    this.clock = clock;
  }

  private DaySpan days(String from, String to, Model model) {
    LocalDate today = LocalDate.now(clock);
    LocalDate quarter = today.withDayOfMonth(1).minusMonths((today.getMonthValue() - 1) % 3);
    DaySpan days = DaySpan.read(from, to, quarter, today, model);
    model.addAttribute("days", days);
    return days;
  }

  @GetMapping("/prove/tax")
  @Nullable String tax(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    DaySpan days = days(from, to, model);
    model.addAttribute("tie", taxes.tieOut(days.from(), days.to()));
    model.addAttribute(
        "more",
        List.of(
            new ListPage.Link(
                "the papers behind it",
                "/prove/tax/papers?from=" + days.from() + "&to=" + days.to())));
    model.addAttribute("above", "prove/tax");
    return page.under(
        "/prove/tax", TaxListings.byRate(days.from(), days.to()), model, request, response);
  }

  @GetMapping("/prove/tax/papers")
  @Nullable String papers(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    DaySpan days = days(from, to, model);
    return page.under(
        "/prove/tax/papers", TaxListings.papers(days.from(), days.to()), model, request, response);
  }
}
