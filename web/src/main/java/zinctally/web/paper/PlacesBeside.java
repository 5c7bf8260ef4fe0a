package zinctally.web.paper;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.DraftReader;
import zinctally.core.papers.Paper;
import zinctally.store.goods.StockStore;

/** What is at two places before and after goods go from the one to the other. */
@Component
class PlacesBeside {
  private final StockStore stock;

  PlacesBeside(StockStore stock) {
    this.stock = stock;
  }

  /** What a place has, in the item's units. */
  record At(String place, String before, String after) {}

  record Gone(Item item, List<At> at) {}

  /**
   * Item by item; nothing when the version it follows cannot be read as it was.
   *
   * @param before that version, whose goods are where it took them
   */
  List<Gone> of(Paper paper, Optional<Draft> before, Catalogue book) {
    Optional<Paper> earlier = before.flatMap(b -> new DraftReader(book).read(b).paper());
    if (before.isPresent() && earlier.isEmpty()) return List.of();
    Map<Item, Map<String, Long>> changes = new LinkedHashMap<>();
    add(changes, paper, 1);
    earlier.ifPresent(old -> add(changes, old, -1));
    List<Long> ids = changes.keySet().stream().map(Item::id).toList();
    Map<String, Map<Long, Long>> now = new HashMap<>();
    return changes.entrySet().stream()
        .map(
            e ->
                new Gone(
                    e.getKey(),
                    e.getValue().entrySet().stream()
                        .map(
                            place ->
                                at(
                                    e.getKey(),
                                    place.getKey(),
                                    now.computeIfAbsent(place.getKey(), p -> here(ids, p))
                                        .getOrDefault(e.getKey().id(), 0L),
                                    place.getValue()))
                        .toList()))
        .toList();
  }

  /** What a paper takes from one place and brings to the other, so many times. */
  private static void add(Map<Item, Map<String, Long>> changes, Paper paper, int times) {
    for (Carried goods : paper.carried()) {
      long micros = times * goods.quantity().micros();
      Map<String, Long> places = changes.computeIfAbsent(goods.item(), i -> new LinkedHashMap<>());
      if (goods.from() != null) places.merge(goods.from().name(), -micros, Math::addExact);
      if (goods.into() != null) places.merge(goods.into().name(), micros, Math::addExact);
    }
  }

  private static At at(Item item, String place, long now, long change) {
    return new At(place, say(item, now), say(item, Math.addExact(now, change)));
  }

  private Map<Long, Long> here(List<Long> items, String place) {
    return stock.free(items, place, false).stream()
        .collect(Collectors.toMap(StockStore.Free::item, StockStore.Free::here));
  }

  private static String say(Item item, long micros) {
    return item.units().say(new Quantity(micros));
  }
}
