package zinctally.web.sell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listings;
import zinctally.web.listing.AreaPage;

/** Selling: invoices, payments, what is owed to us. */
@Controller
class SellController {
  private static final AreaPage.Tabs TABS =
      new AreaPage.Tabs(
          "sell",
          "Sell",
          new AreaPage.Tab("Invoices", "/sell"),
          new AreaPage.Tab("Orders", "/sell/orders"),
          new AreaPage.Tab("Returns", "/sell/returns"),
          new AreaPage.Tab("Payments", "/sell/payments"),
          new AreaPage.Tab("Owed by customers", "/sell/open"));
  private final AreaPage page;

  SellController(AreaPage page) {
    this.page = page;
  }

  @GetMapping("/sell")
  String invoices(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing invoices =
        Listings.papers(
            "Invoices", "No invoice yet. Press n, then i, to write the first.", PaperKind.INVOICE);
    return page.show(TABS, invoices, model, request, response, PaperKind.INVOICE);
  }

  @GetMapping("/sell/orders")
  String orders(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing orders = BuyListings.orders(PaperKind.SALES_ORDER);
    return page.show(TABS, orders, model, request, response, PaperKind.SALES_ORDER);
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

  @GetMapping("/sell/open")
  String open(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(
        TABS, Listings.open("CUSTOMER"), model, request, response, PaperKind.CUSTOMER_PAYMENT);
  }
}
