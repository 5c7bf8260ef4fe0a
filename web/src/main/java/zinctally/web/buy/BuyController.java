package zinctally.web.buy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.buy.OrderStore;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Listings;
import zinctally.store.setup.SetupStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.picture.AgePicture;
import zinctally.web.shell.AtDate;
import zinctally.web.shell.May;

/** The lists of buying: from what is short to what is owed. */
@Controller
class BuyController {
  static final AreaPage.Tabs TABS =
      new AreaPage.Tabs(
          "buy",
          "Buy",
          new AreaPage.Tab("What to order", "/buy/to-order"),
          new AreaPage.Tab("Orders", "/buy/orders"),
          new AreaPage.Tab("Receipts", "/buy/receipts"),
          new AreaPage.Tab("Bills", "/buy"),
          new AreaPage.Tab("Charges", "/buy/charges"),
          new AreaPage.Tab("Returns", "/buy/returns"),
          new AreaPage.Tab("Payments", "/buy/payments"),
          new AreaPage.Tab("Owed", "/buy/open"),
          new AreaPage.Tab("By age", "/buy/age"),
          new AreaPage.Tab("Suppliers", "/buy/suppliers"),
          new AreaPage.Tab("Repeating", "/buy/repeating"));
  private static final List<String> AGES = List.of("not_due", "d30", "d60", "d90", "older");
  private final AreaPage page;
  private final OrderStore orders;
  private final ListingStore lists;
  private final BookStore books;
  private final SetupStore setup;
  private final Clock clock;

  BuyController(
      AreaPage page,
      OrderStore orders,
      ListingStore lists,
      BookStore books,
      SetupStore setup,
      Clock clock) {
    this.page = page;
    this.orders = orders;
    this.lists = lists;
    this.books = books;
    this.setup = setup;
    this.clock = clock;
  }

  @GetMapping("/buy")
  String bills(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing bills =
        Listings.papers(
            "Bills", "No bill yet. Press n, then b, to write the first.", PaperKind.BILL);
    return page.show(TABS, bills, model, request, response, PaperKind.BILL);
  }

  @GetMapping("/buy/to-order")
  String toOrder(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("mayOrder", May.write(request.getUserPrincipal(), PaperKind.PURCHASE_ORDER));
    Listing running = BuyListings.toOrder(books.book().coin());
    String shown = page.show(TABS, running, model, request, response, PaperKind.PURCHASE_ORDER);
    return "listing/area".equals(shown) ? "buy/to-order" : shown;
  }

  /** Drafts one order a supplier of all the list shows. */
  @PostMapping("/buy/to-order")
  String draftOrders(
      @RequestParam(defaultValue = "") String filter, Principal who, RedirectAttributes after) {
    if (!May.write(who, PaperKind.PURCHASE_ORDER))
      throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    Map<String, String> fields =
        Map.of(
            "date", LocalDate.now(clock).toString(),
            "place", setup.places().stream().findFirst().orElse(""));
    List<Long> begun = orders.draftOrders(filter, fields, who.getName());
    after.addFlashAttribute(
        "told",
        begun.isEmpty()
            ? "Nothing was drafted: all of it stands in drafts of orders already."
            : begun.size() == 1
                ? "One order is drafted; look at it and post it."
                : begun.size() + " orders are drafted, one for each supplier; they wait here.");
    return begun.size() == 1 ? "redirect:/drafts/" + begun.get(0) : "redirect:/";
  }

  @GetMapping("/buy/orders")
  String orders(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(
        TABS,
        BuyListings.orders(PaperKind.PURCHASE_ORDER),
        model,
        request,
        response,
        PaperKind.PURCHASE_ORDER);
  }

  @GetMapping("/buy/receipts")
  String receipts(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, BuyListings.receipts(), model, request, response, PaperKind.RECEIPT);
  }

  @GetMapping("/buy/charges")
  String charges(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing charges =
        Listings.papers(
            "Charges", "No freight, duty or other charge on goods yet.", PaperKind.CHARGE);
    return page.show(TABS, charges, model, request, response, PaperKind.CHARGE);
  }

  @GetMapping("/buy/returns")
  String returns(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing returns =
        Listings.papers(
            "Returns and credit notes",
            "Nothing has gone back yet.",
            PaperKind.SUPPLIER_RETURN,
            PaperKind.SUPPLIER_CREDIT);
    model.addAttribute(
        "more", List.of(new AreaPage.Tab("by reason and supplier", "/buy/returns/reasons")));
    return page.show(
        TABS,
        returns,
        model,
        request,
        response,
        PaperKind.SUPPLIER_RETURN,
        PaperKind.SUPPLIER_CREDIT);
  }

  @GetMapping("/buy/returns/reasons")
  String reasons(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", List.of(new AreaPage.Tab("line by line", "/buy/returns/lines")));
    return page.show(TABS, BuyListings.returnSums(), model, request, response);
  }

  @GetMapping("/buy/returns/lines")
  String returnLines(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, BuyListings.returned(), model, request, response);
  }

  @GetMapping("/buy/payments")
  String payments(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing paid = Listings.papers("Payments", "No payment yet.", PaperKind.SUPPLIER_PAYMENT);
    return page.show(TABS, paid, model, request, response, PaperKind.SUPPLIER_PAYMENT);
  }

  @GetMapping("/buy/open")
  String open(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(
        TABS, Listings.open("SUPPLIER"), model, request, response, PaperKind.SUPPLIER_PAYMENT);
  }

  /** What is owed by age at a date, as a picture and a table. */
  @GetMapping("/buy/age")
  String age(
      @RequestParam(defaultValue = "") String date,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    LocalDate at = AtDate.read(date, clock, model);
    Listing ageing = BuyListings.ageing("SUPPLIER", at);
    model.addAttribute("date", at);
    String shown = page.show(TABS, ageing, model, request, response, PaperKind.SUPPLIER_PAYMENT);
    if (!"listing/area".equals(shown)) return shown;
    long[] sums = new long[AGES.size()];
    lists.all(
        ageing,
        ListingStore.Ask.ALL,
        row -> {
          for (int i = 0; i < sums.length; i++)
            sums[i] += ((Number) row.get(AGES.get(i))).longValue();
        });
    List<Long> amounts = new ArrayList<>();
    for (long sum : sums) amounts.add(sum);
    model.addAttribute("ages", AgePicture.of(amounts, 700, 110));
    model.addAttribute("allOwed", amounts.stream().mapToLong(Long::longValue).sum());
    return "buy/age";
  }

  @GetMapping("/buy/suppliers")
  String suppliers(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", List.of(new AreaPage.Tab("New supplier", "/buy/supplier/new")));
    return page.show(TABS, BuyListings.suppliers(), model, request, response);
  }

  @GetMapping("/buy/repeating")
  String repeating(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, BuyListings.repeating(), model, request, response);
  }
}
