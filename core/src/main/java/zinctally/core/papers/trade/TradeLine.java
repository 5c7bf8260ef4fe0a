package zinctally.core.papers.trade;

import java.math.BigDecimal;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Place;
import zinctally.core.papers.Row;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Flow;

/**
 * A line of a bill or invoice: an item, or an account for what is no item.
 *
 * @param row where it stands in the line table, from zero
 * @param item null for a line on an account
 * @param account null for a line with an item
 * @param place where its goods come to or go from
 * @param quantity base units
 * @param unit the unit its price is for
 * @param price for one of that unit, as typed
 * @param discount percent off that price
 * @param net minor units without tax
 * @param tax minor units
 * @param rate null for none
 * @param flow how its goods move
 * @param kept where its goods stay, as the customer's; null when they go
 */
public record TradeLine(
    int row,
    @Nullable Item item,
    @Nullable Account account,
    Place place,
    String wording,
    Quantity quantity,
    String unit,
    BigDecimal price,
    BigDecimal discount,
    long net,
    long tax,
    @Nullable TaxRate rate,
    Flow flow,
    @Nullable Place kept) {
  /** The item of a line that has one. */
  Item goods() {
    return Objects.requireNonNull(item);
  }

  boolean moves() {
    return item != null && item.stocked();
  }

  Row asRow() {
    return Row.of(row, item)
        .on(account == null ? null : account.id())
        .at(place)
        .worded(wording)
        .of(quantity, unit)
        .priced(price, discount)
        .worth(net, tax, rate)
        .from(Row.From.of(flow));
  }

  /** The same of an item that is made. */
  TradeLine of(Item made) {
    return new TradeLine(
        row, made, account, place, wording, quantity, unit, price, discount, net, tax, rate, flow,
        kept);
  }

  /** The same with its goods staying at another place. */
  TradeLine keptAt(@Nullable Place other) {
    return new TradeLine(
        row, item, account, place, wording, quantity, unit, price, discount, net, tax, rate, flow,
        other);
  }

  /** The same with charges of the paper added to what its goods cost. */
  TradeLine bearing(long charge) {
    return new TradeLine(
        row,
        item,
        account,
        place,
        wording,
        quantity,
        unit,
        price,
        discount,
        Math.addExact(net, charge),
        tax,
        rate,
        flow,
        kept);
  }
}
