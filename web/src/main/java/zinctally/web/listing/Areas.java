package zinctally.web.listing;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Every area there is. */
@Component
public class Areas {
  private final List<Area> areas;

  Areas(List<Area> areas) {
    this.areas = areas;
  }

  /** A page, its group and its area. */
  public record Place(Area area, Area.Group group, ListPage page) {}

  public Stream<Place> places() {
    return areas.stream()
        .flatMap(
            a -> a.groups().stream().flatMap(g -> g.pages().stream().map(p -> new Place(a, g, p))));
  }

  /** The page at an address; empty when no area has it. */
  public Optional<Place> find(String address) {
    return places().filter(p -> p.page().address().equals(address)).findFirst();
  }

  /**
   * The page at an address.
   *
   * @throws IllegalArgumentException when no area has it
   */
  Place at(String address) {
    return find(address).orElseThrow(() -> new IllegalArgumentException("no area has " + address));
  }
}
