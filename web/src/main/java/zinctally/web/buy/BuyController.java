package zinctally.web.buy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.buy.OrderStore;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listings;
import zinctally.web.listing.AgePage;
import zinctally.web.listing.AreaPage;
import zinctally.web.paper.Choices;
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
  private final SetUp setUp;
  private final AreaPage page;
  private final OrderStore orders;
  private final AgePage agePage;
  private final BookStore books;
  private final Choices choices;

  BuyController(
      SetUp setUp,
      AreaPage page,
      OrderStore orders,
      AgePage agePage,
      BookStore books,
      Choices choices) {
    this.setUp = setUp;
    this.page = page;
    this.orders = orders;
    this.agePage = agePage;
    this.books = books;
    this.choices = choices;
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
    return page.show(
        TABS.above("buy/to-order"),
        BuyListings.toOrder(books.book().coin()),
        model,
        request,
        response,
        PaperKind.PURCHASE_ORDER);
  }

  /** Drafts one order a supplier of all the list shows. */
  @PostMapping("/buy/to-order")
  String draftOrders(
      @RequestParam(defaultValue = "") String filter, Principal who, RedirectAttributes after) {
    if (!May.write(who, PaperKind.PURCHASE_ORDER))
      throw new ResponseStatusException(HttpStatus.FORBIDDEN);
    List<Long> begun =
        setUp.alone(
            () ->
                orders.draftOrders(
                    filter, choices.defaults(PaperKind.PURCHASE_ORDER), who.getName()));
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
    return agePage.show(
        TABS, Party.Kind.SUPPLIER, PaperKind.SUPPLIER_PAYMENT, date, model, request, response);
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
