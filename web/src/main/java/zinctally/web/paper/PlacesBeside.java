package zinctally.web.paper;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind.Trait;
import zinctally.core.papers.Row;
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

  /** Item by item; nothing for a paper that is not of that kind. */
  List<Gone> of(Paper paper) {
    if (!paper.kind().is(Trait.ACROSS)) return List.of();
    Map<Long, Item> items = new LinkedHashMap<>();
    paper.items().forEach(i -> items.put(i.id(), i));
    List<Long> ids = List.copyOf(items.keySet());
    String from = Objects.requireNonNull(paper.head().place()).name();
    String into = Objects.requireNonNull(paper.rows().get(0).place()).name();
    Map<Long, Long> there = here(ids, from);
    Map<Long, Long> elsewhere = here(ids, into);
    return items.values().stream()
        .map(
            item -> {
              long goes = goes(paper, item);
              return new Gone(
                  item,
                  List.of(
                      at(item, from, there.getOrDefault(item.id(), 0L), -goes),
                      at(item, into, elsewhere.getOrDefault(item.id(), 0L), goes)));
            })
        .toList();
  }

  private static long goes(Paper paper, Item item) {
    return paper.rows().stream()
        .filter(r -> r.item() != null && r.item().id() == item.id())
        .map(Row::quantity)
        .mapToLong(q -> Objects.requireNonNull(q).micros())
        .reduce(0, Math::addExact);
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
