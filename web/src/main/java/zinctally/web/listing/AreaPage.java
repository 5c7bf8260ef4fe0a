package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.store.listing.Listing;
import zinctally.web.shell.May;

/** Shows pages of areas. */
@Component
public class AreaPage {
  private final Areas areas;
  private final ListingPage lists;
  private final Clock clock;

  AreaPage(Areas areas, ListingPage lists, Clock clock) {
    this.areas = areas;
    this.lists = lists;
    this.clock = clock;
  }

  /** The list that the areas have at this address. */
  String show(Model model, HttpServletRequest request, HttpServletResponse response) {
    Areas.Place place = areas.at(request.getRequestURI());
    ListPage page = place.page();
    Asked asked = new Asked(request, model, clock);
    Listing listing = page.list().orElseThrow().apply(asked);
    model.addAllAttributes(page.facts().apply(asked));
    model.addAttribute("above", page.above());
    model.addAttribute(
        "begins",
        page.begins().stream().filter(k -> May.write(request.getUserPrincipal(), k)).toList());
    model.addAttribute("makes", May.setUp(request.getUserPrincipal()) ? page.makes() : List.of());
    if (!page.more().isEmpty()) model.addAttribute("more", page.more());
    return under(page.address(), listing, model, request, response);
  }

  /** A list that is reached from a page of an area. */
  public String under(
      String address,
      Listing listing,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    model.addAttribute("tabs", Tabs.of(areas.at(address), request.getUserPrincipal()));
    return lists.show(listing, "listing/area", model, request, response);
  }
}
