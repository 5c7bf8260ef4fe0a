package zinctally.web.listing;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/**
 * An area of the thumb index, with all its pages: its tabs are made of it, its lists are served
 * from it, and Find knows them by it.
 *
 * @param key its first word in addresses
 * @param groups few words over many pages, in the order of the work
 */
public record Area(String key, String name, List<Group> groups) {
  /** Pages that belong together. */
  public record Group(String name, List<ListPage> pages) {
    public Group {
      pages = List.copyOf(pages);
    }

    /** Where its name leads. */
    public String href() {
      return pages.get(0).address();
    }
  }

  public Area {
    groups = List.copyOf(groups);
  }

  /** An area of few pages, in one row. */
  public static Area of(String key, String name, ListPage... pages) {
    return new Area(key, name, List.of(new Group(name, Arrays.asList(pages))));
  }

  public static Group group(String name, ListPage... pages) {
    return new Group(name, Arrays.asList(pages));
  }

  public Stream<ListPage> pages() {
    return groups.stream().flatMap(g -> g.pages().stream());
  }
}
