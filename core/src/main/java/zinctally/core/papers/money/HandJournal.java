package zinctally.core.papers.money;

import java.time.LocalDate;
import java.util.List;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Head;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Row;
import zinctally.core.papers.plan.Plan;

/**
 * A journal entry written by hand.
 *
 * @param override why a control account is touched; empty when none is
 */
public record HandJournal(LocalDate date, String override, List<JournalLine> lines)
    implements Paper {
  @Override
  public PaperKind kind() {
    return PaperKind.JOURNAL;
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
    return new Plan(List.of(), List.of(), lines, List.of(), List.of());
  }
}
