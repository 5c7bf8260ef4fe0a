package zinctally.web.day;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookStore;
import zinctally.store.buy.RepeatStore;
import zinctally.store.check.CheckRuns;
import zinctally.store.listing.DayListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ProveListings;
import zinctally.store.opening.OpeningStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.prove.DayStore;
import zinctally.store.prove.DayStore.Waiting;
import zinctally.store.sell.CardPayments;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListingPage;
import zinctally.web.machine.Machine;
import zinctally.web.picture.LinePicture;
import zinctally.web.shell.May;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Sees;

/** The day: what waits, and what was written. */
@Controller
class DayController {
  private static final int LOOKED_AT = 40;
  private final CardPayments payments;
  private final CheckRuns checks;
  private final Machine machine;
  private final Sees sees;
  private final DayStore days;
  private final DraftStore drafts;
  private final RepeatStore repeats;
  private final BookStore books;
  private final OpeningStore opening;
  private final ListingPage lists;
  private final AreaPage page;
  private final Clock clock;

  DayController(
      DayStore days,
      DraftStore drafts,
      RepeatStore repeats,
      BookStore books,
      OpeningStore opening,
      ListingPage lists,
      AreaPage page,
      CardPayments payments,
      CheckRuns checks,
      Machine machine,
      Sees sees,
      Clock clock) {
    this.sees = sees;
    this.machine = machine;
    this.payments = payments;
    this.checks = checks;
    this.days = days;
    this.drafts = drafts;
    this.repeats = repeats;
    this.books = books;
    this.opening = opening;
    this.lists = lists;
    this.page = page;
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
    model.addAttribute("waiting", waiting(today, who, by));
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

  private List<Waiting> waiting(LocalDate today, Principal who, Sees.By by) {
    List<Waiting> waiting = new ArrayList<>();
    if (May.own(who) && books.begun())
      machine
          .worry()
          .ifPresent(says -> waiting.add(new Waiting(says, "", null, "See how", "/setup/machine")));
    DayStore.Overdue owed = days.overdue("CUSTOMER", today);
    if (owed.count() > 0)
      waiting.add(
          new Waiting(
              count(
                  owed.count(), "invoice is past its due date", "invoices are past their due date"),
              "since " + owed.since(),
              owed.amount(),
              "See them",
              "/sell/open"));
    DayStore.Overdue owing = days.overdue("SUPPLIER", today);
    if (owing.count() > 0)
      waiting.add(
          new Waiting(
              count(owing.count(), "bill is past its due date", "bills are past their due date"),
              "since " + owing.since(),
              owing.amount(),
              "Pay them",
              "/buy/open"));
    long under = days.underReorder();
    if (under > 0)
      waiting.add(
          new Waiting(
              count(
                  under,
                  "item is at or under its reorder point",
                  "items are at or under their reorder point"),
              "",
              null,
              "Order them",
              "/buy/to-order"));
    DayStore.Overdue unbilled = days.awaited(Awaits.RECEIVED_BILL);
    if (unbilled.count() > 0)
      waiting.add(
          new Waiting(
              count(
                  unbilled.count(), "receipt waits for its bill", "receipts wait for their bills"),
              "since " + unbilled.since(),
              unbilled.amount(),
              "See them",
              "/prove/received"));
    long canGo = days.toDeliver();
    if (canGo > 0)
      waiting.add(
          new Waiting(
              count(canGo, "order can go, in part or whole", "orders can go, in part or whole"),
              "",
              null,
              "Pick them",
              "/sell/picking"));
    DayStore.Overdue sent = days.awaited(Awaits.SENT_INVOICE);
    if (sent.count() > 0)
      waiting.add(
          new Waiting(
              count(
                  sent.count(),
                  "delivery waits for its invoice",
                  "deliveries wait for their invoices"),
              "since " + sent.since(),
              sent.amount(),
              "See them",
              "/prove/sent"));
    long made = days.toComplete();
    if (made > 0)
      waiting.add(
          new Waiting(
              count(
                  made,
                  "item was made from a paper and is to be completed",
                  "items were made from papers and are to be completed"),
              "",
              null,
              "Complete them",
              "/goods?filter=to+be+completed"));
    long approval = days.toApprove();
    if (approval > 0)
      waiting.add(
          new Waiting(
              count(approval, "order waits for approval", "orders wait for approval"),
              "",
              null,
              "See them",
              "/buy/orders?filter=approval"));
    long counting = days.counting();
    if (counting > 0)
      waiting.add(
          new Waiting(
              count(counting, "stock count is not done yet", "stock counts are not done yet"),
              "",
              null,
              "See to them",
              "/handle/counts"));
    long soldShort = days.soldShort();
    if (soldShort > 0)
      waiting.add(
          new Waiting(
              count(
                  soldShort,
                  "line sold goods that have not come yet",
                  "lines sold goods that have not come yet"),
              "",
              null,
              "See them",
              "/ask/short"));
    long cards = payments.open();
    if (cards > 0)
      waiting.add(
          new Waiting(
              count(cards, "card payment is not settled", "card payments are not settled"),
              "",
              null,
              "See to them",
              "/sell/cards"));
    long clearing = opening.clearing();
    if (clearing != 0)
      waiting.add(
          new Waiting(
              "Opening clearing is not zero yet",
              "",
              clearing,
              "Go on with the opening",
              "/opening"));
    waiting.removeIf(w -> !by.page(w.href().split("[?]")[0]));
    return waiting;
  }

  private static String count(long n, String one, String many) {
    return n + " " + (n == 1 ? one : many);
  }
}
