package zinctally.core.papers.flow;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Share;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.TaxRate;

/**
 * What a line of a posted paper still waits for.
 *
 * @param number the paper's
 * @param line the paper's line
 * @param quantity millionths at first
 * @param value minor units at first
 * @param openQuantity millionths still awaited; below zero when more has come
 * @param openValue minor units that stand on its account
 * @param net minor units of the whole line without tax
 * @param price for one unit as typed there; null when there was none
 * @param rate null for none
 * @param order the order it is of or goes on from
 * @param arrivals what came in with it, for goods that are here
 */
public record Awaited(
    long id,
    Awaits what,
    PaperKind kind,
    long paper,
    String number,
    LocalDate date,
    long party,
    int line,
    Item item,
    long quantity,
    long value,
    long openQuantity,
    long openValue,
    long net,
    BigDecimal price,
    @Nullable TaxRate rate,
    Order order,
    List<Arrival> arrivals) {
  /**
   * @param paper zero for no order
   * @param goods what the order's line awaits of goods, its id; zero for none
   * @param bill the same of a bill
   * @param net minor units of the order's line without tax
   * @param quantity millionths of it
   * @param open whether it may be received: approved, if the book wants that
   */
  public record Order(
      long paper,
      String number,
      int line,
      long goods,
      long bill,
      long net,
      long quantity,
      boolean open) {
    public static final Order NONE = new Order(0, "", 0, 0, 0, 0, 0, true);
  }

  /**
   * @param event its cost event
   * @param quantity millionths
   */
  public record Arrival(long event, LocalDate date, long quantity) {}

  /** Minor units that leave its account with {@code micros} of it; the last take all. */
  public long draw(long micros, long alreadyQuantity, long alreadyValue) {
    long left = openQuantity - alreadyQuantity;
    long value = openValue - alreadyValue;
    return micros >= left ? value : Share.of(value, micros, left);
  }
}
