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
import zinctally.core.number.Quantity;

/**
 * Goods that go back to the supplier they came from, or come back from the customer they were sold
 * to, for credit at the price of the first paper. To a supplier they leave at the cost of their own
 * arrival; what that differs from the credit is a purchase price difference. From a customer they
 * come back at the cost at which they left.
 */
public record Return(
    PaperKind kind,
    LocalDate date,
    Party who,
    String reference,
    String reason,
    Place place,
    List<Line> lines)
    implements Paper {
  /**
   * @param quantity base units, above zero
   * @param net minor units of credit without tax
   * @param tax minor units
   */
  public record Line(int row, Traded of, Quantity quantity, String unit, long net, long tax) {}

  private boolean toSupplier() {
    return kind == PaperKind.SUPPLIER_RETURN;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public List<Item> items() {
    return lines.stream().map(l -> l.of().item()).toList();
  }

  public long net() {
    return lines.stream().mapToLong(Line::net).reduce(0, Math::addExact);
  }

  public long tax() {
    return lines.stream().mapToLong(Line::tax).reduce(0, Math::addExact);
  }

  @Override
  public long total() {
    return Math.addExact(net(), tax());
  }

  @Override
  public Plan plan(Catalogue book) {
    int sign = toSupplier() ? 1 : -1;
    long differences = book.account(Role.PRICE_DIFFERENCES).id();
    List<Plan.Event> events = new ArrayList<>();
    List<Plan.Move> moves = new ArrayList<>();
    Map<TaxRate, Long> taxes = new LinkedHashMap<>();
    for (Line line : lines) {
      Item item = line.of().item();
      long micros = line.quantity().micros();
      EventKind kind = toSupplier() ? EventKind.OUT : EventKind.BACK;
      long contra = toSupplier() ? differences : item.costAccount();
      events.add(new Plan.Event(line.row(), kind, item.id(), micros, 0, line.of().event(), contra));
      moves.add(new Plan.Move(line.row(), item.id(), place.id(), -sign * micros));
      if (line.tax() != 0) taxes.merge(line.of().rate(), line.tax(), Math::addExact);
    }
    List<JournalLine> known = new ArrayList<>();
    long owed = sign * total();
    Role control = toSupplier() ? Role.PAYABLES : Role.RECEIVABLES;
    Role tax = toSupplier() ? Role.PURCHASE_TAX : Role.SALES_TAX;
    long other = toSupplier() ? differences : book.account(Role.SALES_RETURNS).id();
    known.add(new JournalLine(book.account(control).id(), 0, who.id(), owed, reason));
    taxes.forEach(
        (rate, sum) ->
            known.add(new JournalLine(book.account(tax).id(), 0, 0, -sign * sum, rate.code())));
    for (Line line : lines)
      known.add(new JournalLine(other, line.of().item().id(), 0, -sign * line.net(), ""));
    Plan.Due due = new Plan.Due(who.id(), reference, date, date, owed, who);
    return new Plan(events, moves, known, List.of(due), List.of());
  }
}
