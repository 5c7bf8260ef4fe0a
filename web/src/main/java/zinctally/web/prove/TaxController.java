package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.TaxListings;
import zinctally.store.sell.SalesStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.Days;

/** Tax by period and rate, tied out to the tax accounts, with the papers behind it. */
@Controller
class TaxController {
  private final AreaPage page;
  private final SalesStore sales;
  private final ListingStore lists;
  private final Clock clock;

  TaxController(AreaPage page, SalesStore sales, ListingStore lists, Clock clock) {
    this.page = page;
    this.sales = sales;
    this.lists = lists;
    this.clock = clock;
  }

  private Days days(String from, String to, Model model) {
    LocalDate today = LocalDate.now(clock);
    LocalDate quarter = today.withDayOfMonth(1).minusMonths((today.getMonthValue() - 1) % 3);
    Days days = Days.read(from, to, quarter, today, model);
    model.addAttribute("days", days);
    return days;
  }

  @GetMapping("/prove/tax")
  String tax(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    Days days = days(from, to, model);
    Listing byRate = TaxListings.byRate(days.from(), days.to());
    long[] lines = {0};
    lists.all(
        byRate,
        ListingStore.Ask.ALL,
        row ->
            lines[0] +=
                (row.get("side").equals("sales") ? 1 : -1) * ((Number) row.get("tax")).longValue());
    long salesTax = -sales.moved("SALES_TAX", days.from(), days.to());
    long purchaseTax = sales.moved("PURCHASE_TAX", days.from(), days.to());
    model.addAttribute("salesTax", salesTax);
    model.addAttribute("purchaseTax", purchaseTax);
    model.addAttribute("apart", salesTax - purchaseTax - lines[0]);
    model.addAttribute(
        "more",
        List.of(
            new AreaPage.Tab(
                "the papers behind it",
                "/prove/tax/papers?from=" + days.from() + "&to=" + days.to())));
    return page.show(ProveController.TABS.above("prove/tax"), byRate, model, request, response);
  }

  @GetMapping("/prove/tax/papers")
  String papers(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    Days days = days(from, to, model);
    return page.show(
        ProveController.TABS, TaxListings.papers(days.from(), days.to()), model, request, response);
  }
}
