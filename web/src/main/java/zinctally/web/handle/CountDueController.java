package zinctally.web.handle;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.store.count.CountListings;
import zinctally.store.count.CountSheet;
import zinctally.store.count.StockClasses;
import zinctally.web.listing.ListingPage;
import zinctally.web.shell.SetsUp;

/** What is to be counted today. */
@Controller
class CountDueController {
  private final ListingPage lists;
  private final StockClasses classes;

  CountDueController(ListingPage lists, StockClasses classes) {
    this.lists = lists;
    this.classes = classes;
  }

  /** Draws a sheet for each place of all that the list of what is due shows. */
  @SetsUp
  @PostMapping("/handle/due")
  String due(HttpServletRequest request, Principal who, RedirectAttributes after) {
    CountSheet.Rules blind = new CountSheet.Rules(true, false, null, null);
    List<Long> drawn = classes.begin(lists.ask(CountListings.due(), request), blind, who.getName());
    if (drawn.size() == 1) return "redirect:/handle/counts/" + drawn.get(0);
    after.addFlashAttribute(
        "told", drawn.isEmpty() ? "Nothing is due." : drawn.size() + " sheets are drawn.");
    return "redirect:/handle/counts";
  }

  /** Sorts goods into classes anew. */
  @SetsUp
  @PostMapping("/handle/due/classes")
  String classes(RedirectAttributes after) {
    classes.renew();
    after.addFlashAttribute("told", "Classes are as of today.");
    return "redirect:/handle/due";
  }
}
