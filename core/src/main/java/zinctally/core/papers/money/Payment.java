package zinctally.core.papers.money;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import zinctally.core.ledger.Account;
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

/**
 * Money to a supplier or from a customer, set against what is open; what is left stays on account.
 *
 * @param amount minor units that change hands; below zero when money comes back, zero when credit
 *     is only set against what is owed
 * @param lines what it settles: bills or invoices, and credit that is set against them
 */
public record Payment(
    PaperKind kind,
    LocalDate date,
    Party who,
    Account money,
    long amount,
    String reference,
    List<Line> lines,
    Optional<WrittenOff> rest)
    implements Paper {
  /**
   * A small rest that a customer does not pay.
   *
   * @param amount minor units
   * @param account bears it
   */
  public record WrittenOff(long amount, Account account) {}

  /**
   * @param amount minor units, above zero; of credit it takes off what is to be paid
   */
  public record Line(int row, OpenItem item, long amount, boolean credit) {
    /** Minor units of money it asks for. */
    long asks() {
      return credit ? -amount : amount;
    }
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new Payment(kind, date, made.apply(who), money, amount, reference, lines, rest);
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public long total() {
    return amount;
  }

  /** Minor units that no line settles. */
  public long onAccount() {
    return given() - lines.stream().mapToLong(Line::asks).sum();
  }

  /** Minor units of money and of the rest that is let go. */
  private long given() {
    return Math.addExact(amount, rest.map(WrittenOff::amount).orElse(0L));
  }

  @Override
  public Head head() {
    return new Head(reference, null, null, amount, 0);
  }

  /** Its lines are what it settles. */
  @Override
  public List<Row> rows() {
    return List.of();
  }

  @Override
  public Plan plan(Catalogue book) {
    boolean paying = kind == PaperKind.SUPPLIER_PAYMENT;
    long sign = paying ? 1 : -1;
    long control = book.account(paying ? Role.PAYABLES : Role.RECEIVABLES).id();
    List<JournalLine> known = new ArrayList<>();
    known.add(new JournalLine(control, 0, who.id(), new Money(sign * given()), ""));
    known.add(new JournalLine(money.id(), 0, 0, new Money(-sign * amount), reference));
    rest.ifPresent(
        off ->
            known.add(
                new JournalLine(
                    off.account().id(), 0, 0, new Money(-sign * off.amount()), reference)));
    List<Plan.Settlement> settlements = new ArrayList<>();
    for (Line line : lines)
      settlements.add(new Plan.Settlement(line.item().id(), new Money(sign * line.asks())));
    List<Plan.Due> dues =
        onAccount() == 0
            ? List.of()
            : List.of(
                new Plan.Due(who.id(), reference, date, date, new Money(sign * onAccount()), who));
    return new Plan(List.of(), List.of(), known, dues, settlements);
  }
}
