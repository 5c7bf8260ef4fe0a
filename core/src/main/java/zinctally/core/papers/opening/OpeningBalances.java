package zinctally.core.papers.opening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.ledger.JournalLine;
import zinctally.core.ledger.Role;
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
    return lines.stream().mapToLong(l -> Math.max(0, l.amount())).sum();
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
    long sum = lines.stream().mapToLong(JournalLine::amount).reduce(0, Math::addExact);
    if (sum != 0) all.add(new JournalLine(clearing, 0, 0, -sum, ""));
    return new Plan(List.of(), List.of(), all, List.of(), List.of());
  }
}
