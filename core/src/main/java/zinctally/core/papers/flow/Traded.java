package zinctally.core.papers.flow;

import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.TaxRate;

/**
 * Goods of a line of a posted bill, receipt, invoice or delivery that moved together, for what
 * comes back to them: charges and returns. A line with serial numbers has one for each; one billed
 * after its receipts has one for each of those.
 *
 * @param event the cost event: what came in, or what went out with it
 * @param line the paper's line
 * @param quantity millionths
 * @param returned millionths of those that have gone or come back already
 * @param value minor units: what goods came in at, with charges
 * @param net minor units without tax, of this quantity
 * @param rate null for none
 * @param lot the serial number's id; zero for none
 * @param lots millionths that can still go back, by lot; empty when its goods are not of lots
 * @param billedWith the bill or invoice before which they came or went, of a receipt or delivery;
 *     empty for none
 * @param unbilled what a receipt's line still waits for of its bill, or a delivery's of its
 *     invoice; null for a bill or invoice
 */
public record Traded(
    long event,
    PaperKind kind,
    long paper,
    String number,
    LocalDate date,
    int line,
    long party,
    Item item,
    long quantity,
    long returned,
    long value,
    long net,
    @Nullable TaxRate rate,
    long lot,
    Map<Long, Long> lots,
    String billedWith,
    @Nullable Awaited unbilled) {
  /** Millionths that can still go back. */
  public long returnable() {
    return quantity - returned;
  }
}
