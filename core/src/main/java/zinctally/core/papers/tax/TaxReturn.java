package zinctally.core.papers.tax;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import zinctally.core.papers.Sum;
import zinctally.core.papers.plan.Plan;

/**
 * A tax return: what no return has declared yet up to a day leaves the tax accounts and is owed to
 * the office, as any bill; or is due from it, as a supplier's credit.
 *
 * @param from the first day it is of; what is of earlier days and was not declared comes with it
 * @param to the last day it is of
 * @param reference the office's own number for it
 * @param declared what it declares
 * @param boxes what stands in its boxes
 */
public record TaxReturn(
    LocalDate date,
    LocalDate due,
    Party who,
    String reference,
    LocalDate from,
    LocalDate to,
    List<TaxDue> declared,
    List<TaxBoxes.Filled> boxes)
    implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.TAX_RETURN;
  }

  @Override
  public Optional<Party> party() {
    return Optional.of(who);
  }

  @Override
  public Paper withParties(UnaryOperator<Party> made) {
    return new TaxReturn(date, due, made.apply(who), reference, from, to, declared, boxes);
  }

  /** What is to be paid, minor units; below zero what the office owes. */
  @Override
  public long total() {
    return TaxDue.toPay(declared);
  }

  @Override
  public Head head() {
    return new Head(reference, due, null, total(), 0);
  }

  /** Its boxes, as they were declared. */
  @Override
  public List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    for (TaxBoxes.Filled filled : boxes)
      rows.add(Row.of(rows.size(), null).worded(words(filled.box())).worth(filled.amount()));
    return rows;
  }

  private static String words(TaxBox box) {
    return box.code() + " " + box.words();
  }

  @Override
  public List<Sum> sums() {
    List<Sum> sums = new ArrayList<>();
    for (TaxBoxes.Filled filled : boxes) sums.add(new Sum(words(filled.box()), filled.amount()));
    List<TaxDue> late = declared.stream().filter(TaxDue::late).toList();
    if (TaxDue.toPay(late) != 0) sums.add(new Sum("Of it from before " + from, TaxDue.toPay(late)));
    sums.add(new Sum(total() < 0 ? "The office owes" : "To pay", Math.abs(total())));
    return sums;
  }

  @Override
  public Plan plan(Catalogue book) {
    Map<Long, Long> accounts = new LinkedHashMap<>();
    for (TaxDue one : declared) accounts.merge(one.account(), one.toPay(), Math::addExact);
    String days = from + " to " + to;
    List<JournalLine> known = new ArrayList<>();
    accounts.forEach(
        (account, toPay) -> {
          if (toPay != 0) known.add(new JournalLine(account, 0, 0, new Money(toPay), days));
        });
    if (total() == 0) return new Plan(List.of(), List.of(), known, List.of(), List.of());
    Money owed = new Money(-total());
    known.add(new JournalLine(book.account(Role.PAYABLES).id(), 0, who.id(), owed, days));
    Plan.Due open = new Plan.Due(who.id(), reference, date, due, owed, who);
    return new Plan(List.of(), List.of(), known, List.of(open), List.of());
  }
}
