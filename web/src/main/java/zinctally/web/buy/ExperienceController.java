package zinctally.web.buy;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.book.SetUp;
import zinctally.store.listing.Ask;
import zinctally.store.listing.OrderListings;
import zinctally.store.reorder.ReorderStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.SetsUp;

/** Reorder points and quantities as experience suggests them. */
@Controller
class ExperienceController {
  private final ReorderStore reorder;
  private final ListingPage lists;
  private final AreaPage page;
  private final SetUp setUp;

  ExperienceController(ReorderStore reorder, ListingPage lists, AreaPage page, SetUp setUp) {
    this.reorder = reorder;
    this.lists = lists;
    this.page = page;
    this.setUp = setUp;
  }

  @GetMapping("/buy/experience")
  @Nullable String show(Model model, HttpServletRequest request, HttpServletResponse response) {
    reorder.today();
    model.addAttribute("above", "buy/experience");
    return page.under("/buy/experience", OrderListings.fromExperience(), model, request, response);
  }

  /** Takes over what the list shows. */
  @SetsUp
  @PostMapping("/buy/experience")
  String takeOver(HttpServletRequest request, Principal who, RedirectAttributes after) {
    Ask ask = lists.ask(OrderListings.fromExperience(), request);
    int taken = setUp.alone(() -> reorder.takeOver(ask, who.getName()));
    after.addFlashAttribute(
        "told",
        taken == 0
            ? "Nothing was changed: all of it stands so already."
            : taken == 1
                ? "One item has what was suggested."
                : taken + " items have what was suggested.");
    return "redirect:/buy/experience";
  }
}
