package zinctally.web.listing;

import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing;

/**
 * A page of an area.
 *
 * @param address its path
 * @param tab its name in the row of tabs
 * @param known other words people look for it by
 * @param list what it lists, for what is asked; empty when it has a controller of its own
 * @param facts what else the page shows
 * @param above the template whose fragment {@code above} stands over the list; empty for none
 * @param begins the papers that can be begun from here; none for those that it lists
 * @param makes what else can be made from here, by whoever sets up
 * @param more what else is close to it
 * @param may who may see it, and so is offered it
 */
public record ListPage(
    String address,
    String tab,
    String known,
    Optional<Function<Asked, Listing>> list,
    Function<Asked, Map<String, Object>> facts,
    String above,
    List<PaperKind> begins,
    List<Link> makes,
    List<Link> more,
    Predicate<Principal> may) {
  /** Some words and where they lead. */
  public record Link(String words, String href) {}

  /** A page with a controller of its own. */
  public static ListPage at(String address, String tab) {
    return new ListPage(
        address,
        tab,
        "",
        Optional.empty(),
        a -> Map.of(),
        "",
        List.of(),
        List.of(),
        List.of(),
        p -> true);
  }

  /** The same, found by these words too. */
  public ListPage known(String words) {
    return new ListPage(address, tab, words, list, facts, above, begins, makes, more, may);
  }

  /** The same, showing a list. */
  public ListPage lists(Function<Asked, Listing> shown) {
    return new ListPage(
        address, tab, known, Optional.of(shown), facts, above, begins, makes, more, may);
  }

  /** The same, with something over its list. */
  public ListPage above(String template, Function<Asked, Map<String, Object>> shown) {
    return new ListPage(address, tab, known, list, shown, template, begins, makes, more, may);
  }

  /** The same, where papers of these kinds can be begun. */
  public ListPage begins(PaperKind... kinds) {
    return new ListPage(address, tab, known, list, facts, above, List.of(kinds), makes, more, may);
  }

  /** The same, where something else can be made. */
  public ListPage makes(Link... links) {
    return new ListPage(address, tab, known, list, facts, above, begins, List.of(links), more, may);
  }

  /** The same, leading on. */
  public ListPage more(Link... links) {
    return new ListPage(
        address, tab, known, list, facts, above, begins, makes, List.of(links), may);
  }

  /** The same, for some people only. */
  public ListPage only(Predicate<Principal> who) {
    return new ListPage(address, tab, known, list, facts, above, begins, makes, more, who);
  }
}
