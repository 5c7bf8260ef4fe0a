package zinctally.core.papers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;

/**
 * A supplier's bill with its goods, or an invoice with its goods.
 *
 * @param kind {@link PaperKind#BILL} or {@link PaperKind#INVOICE}
 * @param theirNumber the supplier's own number, or the customer's reference
 */
public record Trade(
    PaperKind kind,
    LocalDate date,
    LocalDate due,
    Party who,
    String theirNumber,
    Place place,
    List<TradeLine> lines)
    implements Paper {
  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  public long net() {
    return lines.stream().mapToLong(TradeLine::net).reduce(0, Math::addExact);
  }

  public long tax() {
    return lines.stream().mapToLong(TradeLine::tax).reduce(0, Math::addExact);
  }

  @Override
  public List<Item> items() {
    return lines.stream().map(TradeLine::item).filter(i -> i != null).toList();
  }

  @Override
  public long total() {
    return Math.addExact(net(), tax());
  }

  /**
   * Goods of a bill come in at their price without reclaimable tax (IAS 2 paragraph 11); goods of
   * an invoice go out at the cost the pool gives, to cost of goods sold (IAS 2 paragraph 34).
   */
  @Override
  public Plan plan(Catalogue book) {
    boolean buying = kind == PaperKind.BILL;
    List<Plan.Event> events = new ArrayList<>();
    List<Plan.Move> moves = new ArrayList<>();
    List<JournalLine> known = new ArrayList<>();
    for (TradeLine line : lines) {
      long micros = line.quantity().micros();
      if (line.moves()) {
        long item = line.item().id();
        moves.add(new Plan.Move(line.row(), item, place.id(), buying ? micros : -micros));
        events.add(
            buying
                ? new Plan.Event(line.row(), EventKind.IN, item, micros, line.net(), 0, 0)
                : new Plan.Event(
                    line.row(), EventKind.OUT, item, micros, 0, 0, line.item().costAccount()));
      }
      if (!buying || !line.moves()) known.add(revenueOrExpense(line, buying));
    }
    long total = buying ? -total() : total();
    Role taxRole = buying ? Role.PURCHASE_TAX : Role.SALES_TAX;
    byRate().forEach((rate, tax) -> known.add(taxLine(book, taxRole, rate, buying ? tax : -tax)));
    Role control = buying ? Role.PAYABLES : Role.RECEIVABLES;
    known.add(new JournalLine(book.account(control).id(), 0, who.id(), total, ""));
    Plan.Due owed = new Plan.Due(who.id(), theirNumber, date, due, total, who);
    return new Plan(events, moves, known, List.of(owed), List.of());
  }

  /** Tax by rate, minor units, in the order of the lines. */
  public Map<TaxRate, Long> byRate() {
    Map<TaxRate, Long> sums = new LinkedHashMap<>();
    for (TradeLine line : lines)
      if (line.tax() != 0) sums.merge(line.rate(), line.tax(), Math::addExact);
    return sums;
  }

  private static JournalLine taxLine(Catalogue book, Role role, TaxRate rate, long amount) {
    return new JournalLine(book.account(role).id(), 0, 0, amount, rate.code());
  }

  private JournalLine revenueOrExpense(TradeLine line, boolean buying) {
    long amount = buying ? line.net() : -line.net();
    if (line.item() == null)
      return new JournalLine(line.account().id(), 0, 0, amount, line.wording());
    long account = buying ? line.item().costAccount() : line.item().salesAccount();
    return new JournalLine(account, line.item().id(), 0, amount, "");
  }
}
