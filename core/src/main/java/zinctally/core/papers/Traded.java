package zinctally.core.papers;

import java.time.LocalDate;
import zinctally.core.goods.Item;

/**
 * A line of a posted bill or invoice that moved goods, for those that come back to it.
 *
 * @param event its cost event: an in of a bill, an out of an invoice
 * @param quantity millionths
 * @param returned millionths of those that have gone or come back already
 * @param value minor units: what the goods of a bill came in at, with charges
 * @param net minor units of the line without tax
 * @param rate null for none
 */
public record Traded(
    long event,
    PaperKind kind,
    String number,
    LocalDate date,
    long party,
    Item item,
    long quantity,
    long returned,
    long value,
    long net,
    TaxRate rate) {
  /** The same line with the item it speaks of. */
  public Traded of(Item item) {
    return new Traded(event, kind, number, date, party, item, quantity, returned, value, net, rate);
  }

  /** Millionths that can still go back. */
  public long returnable() {
    return quantity - returned;
  }
}
