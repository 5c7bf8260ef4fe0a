package zinctally.web.handle;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listings;
import zinctally.web.listing.AreaPage;

/** What happens to goods between buying and selling. */
@Controller
class HandleController {
  private static final AreaPage.Tabs TABS =
      new AreaPage.Tabs("handle", "Handle", new AreaPage.Tab("Adjustments", "/handle"));
  private final AreaPage page;

  HandleController(AreaPage page) {
    this.page = page;
  }

  @GetMapping("/handle")
  String adjustments(Model model, HttpServletRequest request, HttpServletResponse response) {
    Listing adjustments =
        Listings.papers(
            "Adjustments",
            "No adjustment yet. Press n, then a, when jars break or are found.",
            PaperKind.ADJUSTMENT);
    return page.show(TABS, adjustments, model, request, response, PaperKind.ADJUSTMENT);
  }
}
