package zinctally.store.posting;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Component;
import zinctally.core.papers.plan.Plan;
import zinctally.core.proof.Proof;

/** Writes what was worked out for a paper into the books. */
@Component
class Entries {
  private final PaperWriter writer;
  private final JournalWriter journalWriter;
  private final Dues dues;
  private final Awaiting awaiting;
  private final TaxWriter taxes;
  private final Totals totals;

  Entries(
      PaperWriter writer,
      JournalWriter journalWriter,
      Dues dues,
      Awaiting awaiting,
      TaxWriter taxes,
      Totals totals) {
    this.writer = writer;
    this.journalWriter = journalWriter;
    this.dues = dues;
    this.awaiting = awaiting;
    this.taxes = taxes;
    this.totals = totals;
  }

  /**
   * Of which paper and version entries are.
   *
   * @param till through which their cash goes
   * @param at the moment at which they are made
   * @param posting to which they belong
   */
  record Of(long paper, int version, Optional<Long> till, LocalDateTime at, long posting) {
    private JournalWriter.Of journals(boolean reverses) {
      return new JournalWriter.Of(paper, version, reverses, till, at, posting);
    }
  }

  /** Stock book, ledger and tax, the reversals of what an earlier version did, and the sums. */
  void write(Worked worked, Worker.Job job, Of of, TaxWriter.Said tax, IntConsumer reached) {
    Proof.Work work = worked.work();
    Map<LocalDate, Long> reversals = journalWriter.write(work.reversals(), of.journals(true));
    Map<LocalDate, Long> journals = journalWriter.write(work.journals(), of.journals(false));
    taxes.write(tax, work, job.undo(), of);
    reached.accept(55);
    writer.stock(worked, job, of, journals, reversals, reached);
    reached.accept(90);
    totals.write(work, worked.items(), job.stockAccounts());
  }

  /**
   * What is owed and what waits, of a paper posted or amended.
   *
   * @param again whether an earlier version of it was posted before
   */
  void duesAndAwaited(Plan plan, Worked worked, Undo undo, Posted paper, boolean again) {
    if (again) {
      dues.rewrite(plan, undo, paper.id(), paper.number(), paper.date());
      awaiting.rewrite(plan, undo, paper.id(), paper.date());
    } else {
      dues.write(plan, paper.id(), paper.number(), paper.date());
      awaiting.write(plan, paper.id());
    }
    awaiting.recost(worked.sent(), paper.id());
  }

  /** A paper in the books. */
  record Posted(long id, String number, LocalDate date) {}
}
