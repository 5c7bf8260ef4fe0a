package zinctally.web.buy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listings;
import zinctally.web.listing.AreaPage;

/** Buying: bills, payments, what we owe. */
@Controller
class BuyController {
  private static final AreaPage.Tabs TABS =
      new AreaPage.Tabs(
          "buy",
          "Buy",
          new AreaPage.Tab("Bills", "/buy"),
          new AreaPage.Tab("Charges", "/buy/charges"),
          new AreaPage.Tab("Returns", "/buy/returns"),
          new AreaPage.Tab("Payments", "/buy/payments"),
          new AreaPage.Tab("Owed to suppliers", "/buy/open"));
  private final AreaPage page;

  BuyController(AreaPage page) {
    this.page = page;
  }

  @GetMapping("/buy")
  String bills(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing bills =
        Listings.papers(
            "Bills", "No bill yet. Press n, then b, to write the first.", PaperKind.BILL);
    return page.show(TABS, bills, model, request, response, PaperKind.BILL);
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
        Listings.papers("Returns", "Nothing has gone back yet.", PaperKind.SUPPLIER_RETURN);
    return page.show(TABS, returns, model, request, response, PaperKind.SUPPLIER_RETURN);
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
}
