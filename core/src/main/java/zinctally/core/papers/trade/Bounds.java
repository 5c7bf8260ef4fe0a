package zinctally.core.papers.trade;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Party;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.read.PartyQuestions;

/** What a paper of selling does beyond what its writer may. */
public final class Bounds {
  private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

  /** What may be lost by rounding one line, minor units. */
  private static final long ROUNDING = 1;

  private final Allowed allowed;
  private final Catalogue book;
  private final List<Fault> faults = new ArrayList<>();

  public Bounds(Allowed allowed, Catalogue book) {
    this.allowed = allowed;
    this.book = book;
  }

  /**
   * A line that is sold.
   *
   * @param discount percent off its own price
   * @param net minor units without tax, everything taken off
   * @param agreed the order with which its price was agreed; of no paper for none
   */
  public record Line(
      int row,
      Item item,
      Quantity quantity,
      BigDecimal discount,
      long net,
      @Nullable TaxRate rate,
      Awaited.Order agreed) {}

  /** Holds a line against its order, else against the list's price and its cost. */
  public Bounds line(Line line, Party who, LocalDate date) {
    if (line.agreed().paper() != 0) {
      if (!allowed.anyPrice()) agreed(line);
      return this;
    }
    if (!allowed.anyPrice()) price(line, who, date);
    if (!allowed.underCost()) cost(line);
    return this;
  }

  private void agreed(Line line) {
    Awaited.Order order = line.agreed();
    if (order.quantity() == 0) return;
    long agreed = Share.of(order.net(), line.quantity().micros(), order.quantity());
    if (line.net() < agreed - ROUNDING) atLeast(line, agreed, ", as agreed with " + order.number());
  }

  private void price(Line line, Party who, LocalDate date) {
    Optional<Allowed.ListPrice> list =
        book.listPrice(line.item(), who.id(), line.quantity().micros(), date, line.rate());
    BigDecimal off =
        list.map(Allowed.ListPrice::off).orElse(BigDecimal.ZERO).max(allowed.discount());
    if (list.isEmpty()) {
      if (line.discount().compareTo(off) > 0)
        faults.add(Fault.at(line.row(), "discount", "You may give " + say(off) + " off at most."));
      return;
    }
    BigDecimal least =
        list.get()
            .each()
            .multiply(line.quantity().decimal())
            .multiply(HUNDRED.subtract(off))
            .divide(HUNDRED);
    long rounded = book.rules().coin().rounded(least);
    if (line.net() < rounded - ROUNDING)
      atLeast(line, rounded, ": " + say(off) + " off the list is yours to give");
  }

  private void atLeast(Line line, long least, String why) {
    faults.add(
        Fault.at(line.row(), "price", book.rules().coin().say(least) + " at least" + why + "."));
  }

  private void cost(Line line) {
    Optional<Catalogue.LatestCost> present = book.presentCost(line.item().id());
    if (present.isEmpty()) return;
    long cost = present.get().of(line.quantity().micros());
    if (line.net() < cost)
      faults.add(
          Fault.at(line.row(), "price", "This is under its cost, which is not yours to do."));
  }

  /**
   * Holds what a customer would owe against their limit.
   *
   * @param more minor units
   */
  public Bounds owes(Party who, long more) {
    if (!allowed.overLimit() && PartyQuestions.over(book, who, more).isPresent())
      faults.add(
          new Fault(
              who.kind().field(),
              who.name() + " would owe more than their limit, which is not yours to allow."));
    return this;
  }

  public List<Fault> faults() {
    return List.copyOf(faults);
  }

  private static String say(BigDecimal percent) {
    return Figures.plain(percent.stripTrailingZeros()) + " %";
  }
}
