package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing;
import zinctally.web.shell.May;

/** An area's page of lists, one tab for each. */
@Component
public class AreaPage {
  private final ListingPage lists;

  AreaPage(ListingPage lists) {
    this.lists = lists;
  }

  /** A list and where it is. */
  public record Tab(String name, String href) {}

  /**
   * @param above a template whose fragment of that name stands above the list; empty for none
   */
  public record Tabs(String area, String title, List<Tab> tabs, String above) {
    public Tabs(String area, String title, Tab... tabs) {
      this(area, title, List.of(tabs), "");
    }

    /** The same with something above the list. */
    public Tabs above(String template) {
      return new Tabs(area, title, tabs, template);
    }
  }

  /**
   * @param begins the papers that can be begun from here
   */
  public String show(
      Tabs tabs,
      Listing listing,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      PaperKind... begins) {
    model.addAttribute("tabs", tabs);
    model.addAttribute("path", request.getRequestURI());
    model.addAttribute(
        "begins",
        List.of(begins).stream().filter(k -> May.write(request.getUserPrincipal(), k)).toList());
    return lists.show(listing, "listing/area", model, request, response);
  }
}
