package zinctally.web.listing;

import java.security.Principal;
import java.util.List;
import java.util.function.Predicate;
import zinctally.web.shell.Sees;

/**
 * The rows of tabs over a page.
 *
 * @param groups those of the area in which its reader may see a page, with the pages they may see
 * @param pages those of its group that its reader may see
 */
public record Tabs(
    Area area, List<Area.Group> groups, String group, ListPage page, List<ListPage> pages) {
  static Tabs of(Areas.Place place, Principal reader, Sees.By by) {
    Predicate<ListPage> seen = p -> p.may().test(reader) && by.page(p.address());
    List<Area.Group> groups =
        place.area().groups().stream()
            .map(g -> new Area.Group(g.name(), g.pages().stream().filter(seen).toList()))
            .filter(g -> !g.pages().isEmpty())
            .toList();
    String group = place.group().name();
    List<ListPage> pages =
        groups.stream()
            .filter(g -> g.name().equals(group))
            .flatMap(g -> g.pages().stream())
            .toList();
    return new Tabs(place.area(), groups, group, place.page(), pages);
  }
}
