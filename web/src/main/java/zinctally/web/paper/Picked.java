package zinctally.web.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.store.book.BookCatalogue;

/** What of some goods is at a place, taken line by line. Quantities are millionths. */
final class Picked {
  private static final int MOST = 50;
  private final BookCatalogue book;
  private final String place;
  private final Map<Long, Long> left = new HashMap<>();
  private final Map<Long, Long> ofLots = new HashMap<>();

  Picked(BookCatalogue book, String place) {
    this.book = book;
    this.place = place;
  }

  /**
   * As much of what is wanted as is still there and not promised to an order written before.
   *
   * @param order the order it is for; zero for none
   */
  long take(Item item, long wanted, long order) {
    long at = book.place(place).map(p -> p.id()).orElse(0L);
    Catalogue.Promised promised = book.promised(item.id(), at, order);
    long here = left.computeIfAbsent(item.id(), id -> book.here(id, at));
    long taken = Math.max(0, Math.min(wanted, here - promised.micros()));
    left.put(item.id(), here - taken);
    return taken;
  }

  /** The lots to take it from, those that expire first before others; empty for serial numbers. */
  String lots(Item item, long wanted) {
    if (item.tracking() != Tracking.LOT || wanted <= 0) return "";
    long at = book.place(place).map(p -> p.id()).orElse(0L);
    List<String> words = new ArrayList<>();
    long open = wanted;
    for (Catalogue.Kept kept : book.lotsAt(item.id(), at, MOST)) {
      long free = kept.at().getOrDefault(at, 0L) - ofLots.getOrDefault(kept.lot().id(), 0L);
      long part = Math.min(open, free);
      if (part <= 0) continue;
      words.add(
          part == wanted
              ? kept.lot().code()
              : kept.lot().code() + ": " + item.units().typed(new Quantity(part)));
      ofLots.merge(kept.lot().id(), part, Long::sum);
      open -= part;
    }
    return String.join(", ", words);
  }
}
