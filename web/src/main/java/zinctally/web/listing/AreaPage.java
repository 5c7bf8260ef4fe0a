package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.core.papers.PaperKind;
import zinctally.store.OneMoment;
import zinctally.store.listing.Listing;
import zinctally.web.paper.form.Forms;
import zinctally.web.shell.May;
import zinctally.web.shell.Sees;

/** Shows pages of areas. */
@Component
public class AreaPage {
  private final Areas areas;
  private final ListingPage lists;
  private final Forms forms;
  private final Sees sees;
  private final OneMoment moment;
  private final Clock clock;

  AreaPage(Areas areas, ListingPage lists, Forms forms, Sees sees, OneMoment moment, Clock clock) {
    this.moment = moment;
    this.sees = sees;
    this.areas = areas;
    this.lists = lists;
    this.forms = forms;
    this.clock = clock;
  }

  /** The list that the areas have at this address. */
  @Nullable String show(Model model, HttpServletRequest request, HttpServletResponse response) {
    return still(request, () -> shown(model, request, response));
  }

  /**
   * Has a page read the book as it is at one moment, so that its balances, rows and sums agree
   * while others post; one that keeps a choice or writes a file does more than read.
   */
  public @Nullable String still(HttpServletRequest request, Supplier<@Nullable String> page) {
    return ListingPage.onlyReads(request)
        ? moment.of(() -> Optional.ofNullable(page.get())).orElse(null)
        : page.get();
  }

  private @Nullable String shown(
      Model model, HttpServletRequest request, HttpServletResponse response) {
    Areas.Place place = areas.at(request.getRequestURI());
    ListPage page = place.page();
    May.must(page.may().test(request.getUserPrincipal()));
    Asked asked = new Asked(request, model, clock);
    Listing listing = page.list().orElseThrow().apply(asked);
    model.addAllAttributes(page.facts().apply(asked));
    model.addAttribute("above", page.above());
    model.addAttribute("begins", begins(page, listing, request.getUserPrincipal()));
    model.addAttribute("makes", May.setUp(request.getUserPrincipal()) ? page.makes() : List.of());
    if (!page.more().isEmpty()) model.addAttribute("more", page.more());
    return under(page.address(), listing, model, request, response);
  }

  /** What can be begun: what the page says, else the papers it lists. */
  private List<PaperKind> begins(ListPage page, Listing listing, Principal who) {
    List<PaperKind> kinds = page.begins().isEmpty() ? listing.of() : page.begins();
    return kinds.stream().filter(k -> forms.begins(k) && May.write(who, k)).toList();
  }

  /** Gives a page that is reached from one of an area the tabs of that. */
  public void tabs(String address, Model model, HttpServletRequest request) {
    model.addAttribute(
        "tabs",
        Tabs.of(
            areas.at(address), request.getUserPrincipal(), sees.by(request.getUserPrincipal())));
  }

  /** A list that is reached from a page of an area. */
  public @Nullable String under(
      String address,
      Listing listing,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    tabs(address, model, request);
    return lists.show(listing, "listing/area", model, request, response);
  }
}
