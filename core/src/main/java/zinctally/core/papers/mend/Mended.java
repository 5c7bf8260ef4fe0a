package zinctally.core.papers.mend;

import java.util.List;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Carried;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods on a line of a paper of repair.
 *
 * @param quantity base units, above zero
 * @param memo what is wrong with them, or was done
 * @param numbers lots or serial numbers; empty for an item without
 */
record Mended(
    int row, Item item, Quantity quantity, String unit, String memo, List<Numbered> numbers) {
  Row at(Place place) {
    return Row.of(row, item).at(place).worded(memo).of(quantity, unit);
  }

  Carried carried(Place from, Place into) {
    return new Carried(item, from, into, quantity);
  }

  void across(Stocking stock, Place from, Place into) {
    stock.across(row, item, from, into, quantity.micros(), numbers);
  }

  /** That it is to come back, or to go back, to a party; zero for none. */
  Plan.Wait awaited(Awaits what, long party) {
    return new Plan.Wait(row, what, item.id(), party, quantity, Optional.of(Money.ZERO), 0, 0);
  }
}
