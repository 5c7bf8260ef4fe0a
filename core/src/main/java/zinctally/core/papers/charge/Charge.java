package zinctally.core.papers.charge;

import static java.util.Objects.requireNonNull;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.tax.Taxed;

/**
 * Freight, duty, tax that cannot be reclaimed, and other costs of bringing goods in, on a bill of
 * their own. They belong to the cost of those goods, whenever they come (IAS 2 paragraphs 10 and
 * 11), and reach what was sold meanwhile. Of goods billed before they come, the share waits with
 * them on Billed, not received.
 *
 * @param amount minor units without reclaimable tax, either sign
 * @param tax minor units that can be reclaimed
 * @param rate null for none
 * @param lines shares that add up to the amount
 */
public record Charge(
    LocalDate date,
    LocalDate due,
    Party who,
    String theirNumber,
    String what,
    long amount,
    long tax,
    @Nullable TaxRate rate,
    List<Line> lines)
    implements Paper {
  /**
   * Goods that bear a share: those that came, or those of a bill that are still to come.
   *
   * @param arrival null for goods to come
   * @param coming null for goods that came
   */
  public record Bearer(@Nullable Traded arrival, @Nullable Awaited coming) {
    public Item item() {
      return arrival == null ? requireNonNull(coming).item() : arrival.item();
    }

    /** The paper they stand on. */
    public String number() {
      return arrival == null ? requireNonNull(coming).number() : arrival.number();
    }

    /** The day they came, or are billed of. */
    LocalDate date() {
      return arrival == null ? requireNonNull(coming).date() : arrival.date();
    }

    /** Tells goods apart from all others that could bear a charge. */
    long key() {
      return arrival == null ? -requireNonNull(coming).id() : arrival.event();
    }

    /** Millionths. */
    long quantity() {
      return arrival == null ? requireNonNull(coming).openQuantity() : arrival.quantity();
    }

    /** Minor units they are worth so far. */
    long value() {
      return arrival == null ? requireNonNull(coming).openValue() : arrival.value();
    }
  }

  /**
   * @param share minor units
   */
  public record Line(int row, Bearer of, long share) {}

  @Override
  public PaperKind kind() {
    return PaperKind.CHARGE;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new Charge(date, due, made.apply(who), theirNumber, what, amount, tax, rate, lines);
  }

  @Override
  public long total() {
    return Math.addExact(amount, tax);
  }

  @Override
  public Head head() {
    return new Head(theirNumber, due, null, amount, tax);
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(l -> Row.of(l.row(), l.of().item()).worded(l.of().number()).worth(l.share()))
        .toList();
  }

  @Override
  public List<Taxed> taxed() {
    return List.of(new Taxed(Role.PURCHASE_TAX, rate, amount));
  }

  /** Who bears how much. */
  @Override
  public List<Sum> sums() {
    List<Sum> sums = new ArrayList<>();
    for (Line line : lines)
      sums.add(new Sum(line.of().item().code() + ", " + line.of().number(), line.share()));
    if (tax != 0) sums.add(new Sum(requireNonNull(rate).name(), tax));
    sums.add(new Sum("Total", total()));
    return sums;
  }

  @Override
  public Plan plan(Catalogue book) {
    List<Plan.Event> events = new ArrayList<>();
    List<Plan.Fill> fills = new ArrayList<>();
    List<JournalLine> known = new ArrayList<>();
    for (Line line : lines) {
      if (line.share() == 0) continue;
      long item = line.of().item().id();
      if (line.of().arrival() != null) {
        long arrival = line.of().arrival().event();
        events.add(
            new Plan.Event(
                new Spot(line.row(), 0),
                EventKind.CHARGE,
                item,
                Quantity.ZERO,
                new Money(line.share()),
                new Plan.Earlier(arrival),
                0));
        continue;
      }
      Awaited coming = requireNonNull(line.of().coming());
      long account = book.account(Role.BILLED_NOT_RECEIVED).id();
      known.add(new JournalLine(account, item, coming.party(), new Money(line.share()), what));
      fills.add(
          new Plan.Fill(line.row(), coming.id(), Quantity.ZERO, new Money(-line.share()), date));
    }
    if (tax != 0)
      known.add(
          new JournalLine(
              book.account(Role.PURCHASE_TAX).id(),
              0,
              0,
              new Money(tax),
              requireNonNull(rate).code()));
    known.add(
        new JournalLine(book.account(Role.PAYABLES).id(), 0, who.id(), new Money(-total()), what));
    Plan.Due owed = new Plan.Due(who.id(), theirNumber, date, due, new Money(-total()), who);
    return new Plan(events, List.of(), known, List.of(owed), List.of(), List.of(), fills);
  }
}
