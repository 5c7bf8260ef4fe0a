package zinctally.core.papers.move;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
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
 * Goods on a line of a paper that moves them and costs nothing.
 *
 * @param quantity base units, above zero
 * @param memo what is noted of them
 * @param numbers lots or serial numbers; empty for an item without
 */
public record Moved(
    int row, Item item, Quantity quantity, String unit, String memo, List<Numbered> numbers) {
  public Row at(@Nullable Place place) {
    return Row.of(row, item).at(place).worded(memo).of(quantity, unit);
  }

  public Carried carried(@Nullable Place from, @Nullable Place into) {
    return new Carried(item, from, into, quantity);
  }

  public void across(Stocking stock, Place from, Place into) {
    stock.across(row, item, from, into, quantity.micros(), numbers);
  }

  /** That it is to come back, or to go back, to a party; zero for none. */
  public Plan.Wait awaited(Awaits what, long party) {
    return new Plan.Wait(row, what, item.id(), party, quantity, Optional.of(Money.ZERO), 0, 0);
  }
}
