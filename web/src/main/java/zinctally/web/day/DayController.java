package zinctally.web.day;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.store.book.BookStore;
import zinctally.store.buy.RepeatStore;
import zinctally.store.check.CheckRuns;
import zinctally.store.listing.DayListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ProveListings;
import zinctally.store.opening.OpeningStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.prove.DayStore;
import zinctally.web.ask.Pinned;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListingPage;
import zinctally.web.picture.LinePicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sees;

/** The day: what waits, and what was written. */
@Controller
class DayController {
  private static final int LOOKED_AT = 40;
  private final CheckRuns checks;
  private final Sees sees;
  private final DayStore days;
  private final DayWaits waits;
  private final DraftStore drafts;
  private final RepeatStore repeats;
  private final BookStore books;
  private final OpeningStore opening;
  private final ListingPage lists;
  private final AreaPage page;
  private final Pinned pinned;
  private final Clock clock;

  DayController(
      DayStore days,
      DayWaits waits,
      DraftStore drafts,
      RepeatStore repeats,
      BookStore books,
      OpeningStore opening,
      ListingPage lists,
      AreaPage page,
      Pinned pinned,
      CheckRuns checks,
      Sees sees,
      Clock clock) {
    this.sees = sees;
    this.checks = checks;
    this.days = days;
    this.waits = waits;
    this.drafts = drafts;
    this.repeats = repeats;
    this.books = books;
    this.opening = opening;
    this.lists = lists;
    this.page = page;
    this.pinned = pinned;
    this.clock = clock;
  }

  @GetMapping("/")
  @Nullable String day(
      Model model, Principal who, HttpServletRequest request, HttpServletResponse response) {
    LocalDate today = LocalDate.now(clock);
    Sees.By by = sees.by(who);
    repeats.begin(today);
    LocalDate last = days.lastPaper(today);
    model.addAttribute("today", today);
    model.addAttribute("check", checks.latest().orElse(null));
    model.addAttribute("waiting", waits.of(today, who, by));
    if (request.getHeader("HX-Request") == null) model.addAttribute("pinned", pinned.of(who, by));
    model.addAttribute(
        "drafts",
        drafts.open(LOOKED_AT).stream().filter(d -> by.papers(d.draft().kind())).limit(8).toList());
    model.addAttribute("steps", books.begun() ? List.of() : opening.firstSteps());
    model.addAttribute("monthDate", last);
    model.addAttribute("month", days.month(last));
    List<DayStore.StockAt> stock = days.stockByMonth(last);
    model.addAttribute(
        "stockPicture",
        LinePicture.of(stock.stream().map(DayStore.StockAt::worth).toList(), 286, 90));
    model.addAttribute(
        "stockFrom", stock.isEmpty() ? "" : YearMonth.from(stock.get(0).month()).toString());
    Listing book = DayListings.dayBook(last.minusDays(60));
    return lists.show(
        by.costs() ? book : DayListings.ofCustomers(book), "day/day", model, request, response);
  }

  /** What a month's sales, or its cost of goods sold, is made of. */
  @GetMapping("/day/{figure:sales|cost}/{month:\\d{4}-\\d{2}}")
  @Nullable String figure(
      @PathVariable String figure,
      @PathVariable String month,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    LocalDate first;
    try {
      first = YearMonth.parse(month).atDay(1);
    } catch (DateTimeException notAMonth) {
      throw new NotThere("month " + month);
    }
    model.addAttribute(
        "heading", (figure.equals("cost") ? "Cost of goods sold, " : "Sales, ") + month);
    return page.under(
        "/", ProveListings.month(first, figure.equals("cost")), model, request, response);
  }
}
