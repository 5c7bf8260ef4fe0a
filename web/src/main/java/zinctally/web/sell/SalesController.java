package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.listing.SalesListings;
import zinctally.store.sell.SalesStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListPage;
import zinctally.web.picture.LinePicture;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.NotThere;

/** What was sold, at what cost and margin, summed one way or another. */
@Controller
class SalesController {
  private static final int MONTHS = 15;
  private final AreaPage page;
  private final SalesStore sales;
  private final Clock clock;

  SalesController(AreaPage page, SalesStore sales, Clock clock) {
    this.page = page;
    this.sales = sales;
    this.clock = clock;
  }

  /** What each of the staff sold, less what came back: the basis of a commission. */
  @GetMapping("/sell/commission")
  @Nullable String commission(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    LocalDate today = LocalDate.now(clock);
    DaySpan days = DaySpan.read(from, to, today.withDayOfMonth(1), today, model);
    model.addAttribute("days", days);
    model.addAttribute("months", List.of());
    model.addAttribute("above", "sell/sales");
    return page.under(
        "/sell/commission",
        SalesListings.commission(days.from(), days.to()),
        model,
        request,
        response);
  }

  @GetMapping({"/sell/sales", "/sell/sales/{by}"})
  @Nullable String sales(
      @PathVariable(required = false) String by,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    SalesListings.By way =
        by == null
            ? SalesListings.By.ITEM
            : SalesListings.By.of(by).orElseThrow(() -> new NotThere("sales by " + by));
    LocalDate today = LocalDate.now(clock);
    DaySpan days = DaySpan.read(from, to, today.withDayOfYear(1), today, model);
    List<SalesStore.Month> months = sales.months(days.to(), MONTHS);
    model.addAttribute("days", days);
    model.addAttribute("months", months);
    model.addAttribute(
        "margins", LinePicture.of(months.stream().map(SalesStore.Month::margin).toList(), 760, 90));
    model.addAttribute(
        "more",
        Arrays.stream(SalesListings.By.values())
            .filter(b -> b != way)
            .map(
                b ->
                    new ListPage.Link(
                        "by " + b.words(),
                        "/sell/sales/" + b.words() + "?from=" + days.from() + "&to=" + days.to()))
            .toList());
    model.addAttribute("above", "sell/sales");
    return page.under(
        "/sell/sales", SalesListings.sales(way, days.from(), days.to()), model, request, response);
  }
}
