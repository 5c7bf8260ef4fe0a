package zinctally.core.papers.make;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.ledger.Account;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;

/**
 * What goes into so many of something, and so into any other number of it.
 *
 * @param made base units that a batch gives, above zero
 */
public record Batch(Item item, Quantity made, List<Part> parts, List<Labour> work) {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /**
   * @param quantity base units that are in a batch
   * @param waste percent of that which goes in besides, and is lost
   */
  public record Part(Item item, Quantity quantity, BigDecimal waste) {
    /** No more than what is in it. */
    public Part withoutWaste() {
      return new Part(item, quantity, BigDecimal.ZERO);
    }
  }

  /**
   * Work that is added.
   *
   * @param batch minor units for a batch
   * @param piece minor units for each base unit made
   */
  public record Labour(Account account, String wording, long batch, long piece) {}

  /**
   * How much of a part goes into so many. What is counted goes in as whole pieces: at least what is
   * in them, and the waste when that comes to a piece.
   *
   * @param many base units to be made, above zero
   * @throws ArithmeticException on overflow
   */
  public Quantity needed(Part part, Quantity many) {
    BigDecimal exact =
        BigDecimal.valueOf(part.quantity().micros())
            .multiply(BigDecimal.valueOf(many.micros()))
            .divide(BigDecimal.valueOf(made.micros()), 6, RoundingMode.HALF_UP);
    BigDecimal with =
        exact.multiply(part.waste().add(HUNDRED)).divide(HUNDRED, 0, RoundingMode.HALF_UP);
    if (!part.item().units().base().counted()) return new Quantity(with.longValueExact());
    BigDecimal whole = BigDecimal.valueOf(Quantity.ONE);
    BigDecimal least = exact.divide(whole, 0, RoundingMode.UP);
    BigDecimal wasted = with.divide(whole, 0, RoundingMode.HALF_UP);
    return new Quantity(least.max(wasted).multiply(whole).longValueExact());
  }

  /**
   * Minor units of work for so many.
   *
   * @throws ArithmeticException on overflow
   */
  public long charged(Labour labour, Quantity many) {
    long batch = Share.of(labour.batch(), many.micros(), made.micros());
    return Math.addExact(batch, Share.of(labour.piece(), many.micros(), Quantity.ONE));
  }
}
