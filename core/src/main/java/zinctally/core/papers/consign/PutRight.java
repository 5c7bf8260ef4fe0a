package zinctally.core.papers.consign;

import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.plan.Stocking;

/**
 * Goods that are found or gone at a place, ours or a supplier's there. What a supplier has here and
 * is gone becomes ours and is lost, if that is agreed; what is found of theirs is theirs.
 *
 * @param micros millionths; above zero is found, below is gone
 * @param value minor units of what was found; zero for what is gone
 * @param account that bears the other side
 * @param numbers lots or serial numbers; empty for an item without, and for what is {@code taken}
 * @param taken what is gone of a supplier's goods
 */
public record PutRight(
    int row,
    Item item,
    long micros,
    long value,
    long account,
    List<Numbered> numbers,
    List<Taken> taken) {
  /** Puts it right at a place. */
  public void at(Place place, Stocking stock, Owing owing) {
    if (place.ours()) stock.upOrDown(row, item, place, micros, value, account, numbers);
    else if (micros > 0) stock.others(row, item, place, micros, numbers);
    else owing.leave(row, item, taken, account);
  }
}
