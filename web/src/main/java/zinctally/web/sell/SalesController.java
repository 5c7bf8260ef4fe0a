package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.YearMonth;
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
import zinctally.web.picture.ChartPicture;
import zinctally.web.picture.DotsPicture;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;

/** What was sold, at what cost and margin, summed one way or another. */
@Controller
class SalesController {
  private static final int MONTHS = 15;
  private static final int MOST_DOTS = 300;
  private final AreaPage page;
  private final SalesStore sales;
  private final Say say;
  private final Clock clock;

  SalesController(AreaPage page, SalesStore sales, Say say, Clock clock) {
    this.page = page;
    this.sales = sales;
    this.say = say;
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

  private ChartPicture margins(List<SalesStore.Month> months) {
    return ChartPicture.lines(
        months.stream().map(m -> YearMonth.from(m.month()).toString()).toList(),
        List.of(
            new ChartPicture.Series(
                "Margin", months.stream().map(m -> BigDecimal.valueOf(m.margin())).toList())),
        v -> say.money(v.longValue()),
        List.of(
            new ChartPicture.Series(
                "Margin %", months.stream().map(SalesStore.Month::percent).toList())),
        say::share);
  }

  /** What sells and what sleeps: items by what was sold of them, at which margin, in stock. */
  @GetMapping("/sell/map")
  @Nullable String map(
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    LocalDate today = LocalDate.now(clock);
    DaySpan days = DaySpan.read(from, to, today.minusYears(1).plusDays(1), today, model);
    List<SalesStore.Sold> sold = sales.sold(days.from(), days.to(), MOST_DOTS + 1);
    model.addAttribute("days", days);
    model.addAttribute("cut", sold.size() > MOST_DOTS);
    model.addAttribute(
        "dots",
        DotsPicture.of(
            sold.stream().limit(MOST_DOTS).map(this::thing).toList(),
            BigDecimal.TEN.pow(say.coin().digits()).longValueExact(),
            say::money,
            say::share));
    model.addAttribute("above", "sell/map");
    return page.under(
        "/sell/map", SalesListings.map(days.from(), days.to()), model, request, response);
  }

  private DotsPicture.Thing thing(SalesStore.Sold one) {
    String says =
        one.net() > 0
            ? "sold for " + say.money(one.net()) + ", margin " + say.share(one.percent())
            : "not sold";
    return new DotsPicture.Thing(
        one.net(),
        one.percent(),
        one.worth(),
        one.name() + ": " + says + ", in stock " + say.money(one.worth()),
        "/goods/item/" + one.item());
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
    model.addAttribute("margins", margins(months));
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
