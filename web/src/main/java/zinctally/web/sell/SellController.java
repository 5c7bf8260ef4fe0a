package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listings;
import zinctally.store.listing.SellListings;
import zinctally.web.listing.AgePage;
import zinctally.web.listing.AreaPage;

/** Selling: invoices, payments, what is owed to us. */
@Controller
class SellController {
  private static final List<AreaPage.Tab> OVER_THE_COUNTER =
      List.of(
          new AreaPage.Tab("Counter sales", "/sell/counter"),
          new AreaPage.Tab("Card payments", "/sell/cards"));

  static final AreaPage.Tabs TABS =
      new AreaPage.Tabs(
          "sell",
          "Sell",
          new AreaPage.Tab("Counter", "/counter"),
          new AreaPage.Tab("Invoices", "/sell"),
          new AreaPage.Tab("Orders", "/sell/orders"),
          new AreaPage.Tab("To deliver", "/sell/to-deliver"),
          new AreaPage.Tab("Deliveries", "/sell/deliveries"),
          new AreaPage.Tab("Returns", "/sell/returns"),
          new AreaPage.Tab("Payments", "/sell/payments"),
          new AreaPage.Tab("Owed", "/sell/open"),
          new AreaPage.Tab("By age", "/sell/age"),
          new AreaPage.Tab("Customers", "/sell/customers"),
          new AreaPage.Tab("Prices", "/sell/prices"),
          new AreaPage.Tab("Sales", "/sell/sales"));
  private final AreaPage page;
  private final AgePage agePage;

  SellController(AreaPage page, AgePage agePage) {
    this.page = page;
    this.agePage = agePage;
  }

  @GetMapping("/sell")
  String invoices(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing invoices =
        Listings.papers(
            "Invoices", "No invoice yet. Press n, then i, to write the first.", PaperKind.INVOICE);
    model.addAttribute("more", OVER_THE_COUNTER);
    return page.show(TABS, invoices, model, request, response, PaperKind.INVOICE);
  }

  @GetMapping("/sell/counter")
  String counterSales(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing sales =
        Listings.papers(
            "Counter sales", "Nothing is sold over the counter yet.", PaperKind.COUNTER_SALE);
    model.addAttribute("more", List.of(new AreaPage.Tab("Tills", "/sell/tills")));
    return page.show(TABS, sales, model, request, response);
  }

  @GetMapping("/sell/tills")
  String tills(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", OVER_THE_COUNTER);
    return page.show(TABS, SellListings.tills(), model, request, response);
  }

  @GetMapping("/sell/orders")
  String orders(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing orders = BuyListings.orders(PaperKind.SALES_ORDER);
    return page.show(TABS, orders, model, request, response, PaperKind.SALES_ORDER);
  }

  /** Back orders, with what of them can go. */
  @GetMapping("/sell/to-deliver")
  String toDeliver(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", List.of(new AreaPage.Tab("Picking list", "/sell/picking")));
    return page.show(TABS, SellListings.toDeliver(), model, request, response, PaperKind.DELIVERY);
  }

  @GetMapping("/sell/picking")
  String picking(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", List.of(new AreaPage.Tab("all that is to go", "/sell/to-deliver")));
    return page.show(TABS, SellListings.picking(), model, request, response, PaperKind.DELIVERY);
  }

  @GetMapping("/sell/deliveries")
  String deliveries(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(TABS, SellListings.deliveries(), model, request, response, PaperKind.DELIVERY);
  }

  @GetMapping("/sell/returns")
  String returns(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing returns =
        Listings.papers("Returns", "Nothing has come back yet.", PaperKind.CUSTOMER_RETURN);
    return page.show(TABS, returns, model, request, response, PaperKind.CUSTOMER_RETURN);
  }

  @GetMapping("/sell/payments")
  String payments(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing paid = Listings.papers("Payments", "No payment yet.", PaperKind.CUSTOMER_PAYMENT);
    return page.show(TABS, paid, model, request, response, PaperKind.CUSTOMER_PAYMENT);
  }

  /** What is owed by age at a date, as a picture and a table. */
  @GetMapping("/sell/age")
  String age(
      @RequestParam(defaultValue = "") String date,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    return agePage.show(
        TABS, Party.Kind.CUSTOMER, PaperKind.CUSTOMER_PAYMENT, date, model, request, response);
  }

  @GetMapping("/sell/customers")
  String customers(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", List.of(new AreaPage.Tab("New customer", "/sell/customer/new")));
    return page.show(TABS, SellListings.customers(), model, request, response);
  }

  @GetMapping("/sell/open")
  String open(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("more", List.of(new AreaPage.Tab("Reminders", "/sell/reminders")));
    return page.show(
        TABS, Listings.open("CUSTOMER"), model, request, response, PaperKind.CUSTOMER_PAYMENT);
  }
}
