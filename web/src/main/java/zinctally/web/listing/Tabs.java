package zinctally.web.listing;

import java.security.Principal;
import java.util.List;
import zinctally.web.shell.Sees;

/**
 * The rows of tabs over a page.
 *
 * @param pages those of its group that its reader may see
 */
public record Tabs(Area area, Area.Group group, ListPage page, List<ListPage> pages) {
  static Tabs of(Areas.Place place, Principal reader, Sees.By by) {
    return new Tabs(
        place.area(),
        place.group(),
        place.page(),
        place.group().pages().stream()
            .filter(p -> p.may().test(reader) && by.page(p.address()))
            .toList());
  }
}
