package zinctally.core.papers.back;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Row;
import zinctally.core.papers.Sum;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.tax.Taxed;

/**
 * A supplier's credit note for goods that went back: it takes the place of the credit that was due.
 * What it gives more or less is a purchase price difference.
 */
public record SupplierCredit(LocalDate date, Party who, String theirNumber, List<Line> lines)
    implements Paper {
  /**
   * @param due the return it is for
   * @param net minor units credited without tax
   * @param tax minor units of tax with it
   */
  public record Line(int row, CreditDue due, long net, long tax) {}

  @Override
  public PaperKind kind() {
    return PaperKind.SUPPLIER_CREDIT;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
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
  public Head head() {
    return new Head(theirNumber, null, null, net(), tax());
  }

  @Override
  public List<Row> rows() {
    return lines.stream()
        .map(
            l ->
                Row.of(l.row(), null)
                    .worded(l.due().number())
                    .worth(l.net(), l.tax(), l.due().rate()))
        .toList();
  }

  /** What it gives more or less than the return that took the tax back. */
  @Override
  public List<Taxed> taxed() {
    return Taxed.of(
        Role.PURCHASE_TAX,
        -1,
        lines.stream()
            .map(l -> Row.of(l.row(), null).worth(l.net() - l.due().net(), 0, l.due().rate()))
            .toList());
  }

  @Override
  public List<Sum> sums() {
    return Sum.of("Credit", net(), tax());
  }

  @Override
  public Plan plan(Catalogue book) {
    List<JournalLine> known = new ArrayList<>();
    List<Plan.Settlement> settlements = new ArrayList<>();
    long payables = book.account(Role.PAYABLES).id();
    for (Line line : lines) {
      long due = line.due().item().open();
      settlements.add(new Plan.Settlement(line.due().item().id(), new Money(-due)));
      long tax = line.tax() - line.due().tax();
      long credited = Math.addExact(line.net(), line.tax());
      known.add(
          new JournalLine(payables, 0, who.id(), new Money(credited - due), line.due().number()));
      known.add(
          new JournalLine(
              book.account(Role.PURCHASE_TAX).id(),
              0,
              0,
              new Money(-tax),
              line.due().rate() == null ? "" : line.due().rate().code()));
      known.add(
          new JournalLine(
                  book.account(Role.PRICE_DIFFERENCES).id(),
                  0,
                  0,
                  new Money(-(credited - due - tax)),
                  line.due().number())
              .of(line.row()));
    }
    Plan.Due credit = new Plan.Due(who.id(), theirNumber, date, date, new Money(total()), who);
    return new Plan(List.of(), List.of(), known, List.of(credit), settlements);
  }
}
