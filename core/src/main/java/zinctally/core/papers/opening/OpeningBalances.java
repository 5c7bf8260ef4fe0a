package zinctally.core.papers.opening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/** Balances from the old books, each against Opening clearing. */
public record OpeningBalances(LocalDate date, List<JournalLine> lines) implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.OPENING_BALANCES;
  }

  @Override
  public long total() {
    return JournalEntry.turnover(lines).minor();
  }

  @Override
  public Head head() {
    return Head.of(total());
  }

  /** Its lines are those of its entry. */
  @Override
  public List<Row> rows() {
    return List.of();
  }

  @Override
  public Plan plan(Catalogue book) {
    long clearing = book.account(Role.OPENING_CLEARING).id();
    List<JournalLine> all = new ArrayList<>(lines);
    Money sum = JournalEntry.sum(lines);
    if (sum.signum() != 0) all.add(new JournalLine(clearing, 0, 0, sum.negated(), ""));
    return new Plan(List.of(), List.of(), all, List.of(), List.of());
  }
}
