package zinctally.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.papers.SmallBook;

/** What a proof says of itself. */
class ProofTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 20);
  private static final Proof.Balance NONE = Proof.Balance.NONE;

  private static Proof.Work work(
      List<Proof.StockEntry> entries,
      List<Proof.StockEntry> undone,
      List<JournalEntry> journals,
      List<JournalEntry> reversals) {
    return new Proof.Work(List.of(), entries, undone, journals, reversals, List.of(), NONE, NONE);
  }

  @Test
  void the_ledger_is_apart_from_the_stock_book_by_what_it_has_more() {
    assertThat(balance(1200, 1500, 0, 0).apart()).isEqualTo(300);
    assertThat(balance(1200, 1500, 0, 0).inStep()).isFalse();
    assertThat(balance(1200, 1200, 50, 50).apart()).isZero();
    assertThat(balance(1200, 1200, 50, 50).inStep()).isTrue();
    assertThat(balance(1200, 1200, 50, 50).stockBook()).isEqualTo(1250);
    assertThat(balance(1200, 1500, 50, 50).ledger()).isEqualTo(1550);
  }

  @Test
  void two_accounts_that_are_apart_are_not_in_step_though_their_sums_agree() {
    assertThat(balance(1200, 1115, 0, 85).apart()).isZero();
    assertThat(balance(1200, 1115, 0, 85).inStep()).isFalse();
  }

  private static Proof.Balance balance(long book, long ledger, long otherBook, long otherLedger) {
    return new Proof.Balance(
        Map.of(
            5L, new Proof.Balance.OnAccount(book, ledger),
            6L, new Proof.Balance.OnAccount(otherBook, otherLedger)));
  }

  @Test
  void an_item_moves_when_its_quantity_or_its_worth_comes_out_otherwise() {
    assertThat(shift(5, 5, 700, 700).moves()).isFalse();
    assertThat(shift(5, 6, 700, 700).moves()).isTrue();
    assertThat(shift(5, 5, 700, 701).moves()).isTrue();
  }

  private static Proof.Shift shift(long before, long after, long worth, long worthAfter) {
    return new Proof.Shift(SmallBook.HIVE, before, after, worth, worthAfter, List.of());
  }

  @Test
  void work_is_nothing_only_when_neither_book_is_written_into() {
    CostEvent event =
        new CostEvent(1, EventKind.IN, new Position(DAY, 1, Spot.FIRST), 1_000_000, 200, 0);
    List<Proof.StockEntry> entry =
        List.of(new Proof.StockEntry(event, 1, DAY, 1_000_000, 200, 0, 0));
    List<JournalEntry> journal = List.of(new JournalEntry(DAY, List.of()));
    assertThat(work(List.of(), List.of(), List.of(), List.of()).isNothing()).isTrue();
    assertThat(work(entry, List.of(), List.of(), List.of()).isNothing()).isFalse();
    assertThat(work(List.of(), entry, List.of(), List.of()).isNothing()).isFalse();
    assertThat(work(List.of(), List.of(), journal, List.of()).isNothing()).isFalse();
    assertThat(work(List.of(), List.of(), List.of(), journal).isNothing()).isFalse();
  }
}
