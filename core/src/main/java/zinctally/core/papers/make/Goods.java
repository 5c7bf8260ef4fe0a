package zinctally.core.papers.make;

import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Numbered;

/**
 * Goods that go into something or come out of it.
 *
 * @param quantity base units, above zero
 * @param numbers lots or serial numbers; empty for an item without
 */
public record Goods(
    int row, Item item, Quantity quantity, String unit, String memo, List<Numbered> numbers) {
  long micros() {
    return quantity.micros();
  }

  /** As it is kept when it leaves a place. */
  Row leaving(Place place) {
    return kept(place, quantity.negated());
  }

  /** As it is kept when it comes to a place. */
  Row coming(Place place) {
    return kept(place, quantity);
  }

  private Row kept(Place place, Quantity signed) {
    return Row.of(row, item).at(place).worded(memo).of(signed, unit);
  }
}
