package zinctally.core.papers.opening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/** Bills and invoices that were open when the books began, each against Opening clearing. */
public record OpeningParties(LocalDate date, List<Line> lines) implements Paper {
  /**
   * @param amount minor units, above zero
   */
  public record Line(
      int row, Party party, String number, LocalDate date, LocalDate due, long amount) {}

  @Override
  public PaperKind kind() {
    return PaperKind.OPENING_PARTIES;
  }

  @Override
  public long total() {
    return lines.stream().mapToLong(Line::amount).sum();
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new OpeningParties(
        date,
        lines.stream()
            .map(
                l ->
                    new Line(
                        l.row(), made.apply(l.party()), l.number(), l.date(), l.due(), l.amount()))
            .toList());
  }

  @Override
  public Head head() {
    return Head.of(total());
  }

  /** Its lines are what it makes owed. */
  @Override
  public List<Row> rows() {
    return List.of();
  }

  @Override
  public Plan plan(Catalogue book) {
    List<JournalLine> known = new ArrayList<>();
    List<Plan.Due> dues = new ArrayList<>();
    Money sum = Money.ZERO;
    for (Line line : lines) {
      boolean ours = line.party().kind() == Party.Kind.CUSTOMER;
      Money amount = new Money(ours ? line.amount() : -line.amount());
      long control = book.account(ours ? Role.RECEIVABLES : Role.PAYABLES).id();
      known.add(new JournalLine(control, 0, line.party().id(), amount, line.number()));
      dues.add(
          new Plan.Due(
              line.party().id(), line.number(), line.date(), line.due(), amount, line.party()));
      sum = sum.plus(amount);
    }
    if (sum.signum() != 0)
      known.add(new JournalLine(book.account(Role.OPENING_CLEARING).id(), 0, 0, sum.negated(), ""));
    return new Plan(List.of(), List.of(), known, dues, List.of());
  }
}
