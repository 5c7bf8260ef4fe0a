package zinctally.core.papers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;

/**
 * Freight, duty, tax that cannot be reclaimed, and other costs of bringing goods in, on a bill of
 * their own. They belong to the cost of those goods, whenever they come (IAS 2 paragraphs 10 and
 * 11), and reach what was sold meanwhile.
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
    TaxRate rate,
    List<Line> lines)
    implements Paper {
  /**
   * @param share minor units
   */
  public record Line(int row, Traded arrival, long share) {}

  @Override
  public PaperKind kind() {
    return PaperKind.CHARGE;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper with(Party made) {
    return new Charge(date, due, made, theirNumber, what, amount, tax, rate, lines);
  }

  @Override
  public List<Item> items() {
    return lines.stream().map(l -> l.arrival().item()).toList();
  }

  @Override
  public long total() {
    return Math.addExact(amount, tax);
  }

  @Override
  public Plan plan(Catalogue book) {
    List<Plan.Event> events = new ArrayList<>();
    for (Line line : lines)
      if (line.share() != 0)
        events.add(
            new Plan.Event(
                line.row(),
                EventKind.CHARGE,
                line.arrival().item().id(),
                0,
                line.share(),
                line.arrival().event(),
                0));
    List<JournalLine> known = new ArrayList<>();
    if (tax != 0)
      known.add(new JournalLine(book.account(Role.PURCHASE_TAX).id(), 0, 0, tax, rate.code()));
    known.add(new JournalLine(book.account(Role.PAYABLES).id(), 0, who.id(), -total(), what));
    Plan.Due owed = new Plan.Due(who.id(), theirNumber, date, due, -total(), who);
    return new Plan(events, List.of(), known, List.of(owed), List.of());
  }
}
