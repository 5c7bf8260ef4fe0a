package zinctally.store.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.FreshBook;
import zinctally.store.Refused;
import zinctally.store.posting.Proving;
import zinctally.store.prove.PeriodStore;

/**
 * A book whose costs are not what its papers give, though stock book and ledger agree, is found out
 * and put right by a paper. By hand: 10 at 2.00 and 10 at 3.00 came, 5 went at 10.00 by first in,
 * first out; once the item is one of moving average they cost 12.50.
 */
class RecostingTest {
  private FreshBook book;

  @BeforeEach
  void wrong() {
    book = new FreshBook();
    book.item("WRONG", "FIFO");
    book.bill("2026-02-01", "WRONG", "10", "2.00");
    book.bill("2026-02-02", "WRONG", "10", "3.00");
    book.invoice("2026-02-03", "WRONG", "5", "9.00");
    book.sql().sql("update item set method = 'AVERAGE' where code = 'WRONG'").update();
  }

  @AfterEach
  void close() {
    book.close();
  }

  private Finding replay() {
    return book.get(CheckStore.class).findings().stream()
        .filter(f -> !f.items().isEmpty() || f.what().contains("worked out from its first event"))
        .findFirst()
        .orElseThrow();
  }

  private static Map<String, String> on(String date) {
    return Map.of("date", date, "why", "Found by the check");
  }

  private static final List<Map<String, String>> ROWS = List.of(Map.of("item", "WRONG"));

  @Test
  void the_check_names_pool_event_and_paper() {
    assertThat(replay().items()).containsExactly("WRONG");
    assertThat(replay().faults().get(0))
        .matches(
            "WRONG, INV-2026-0001 of 2026-02-03 \\(event \\d+\\): booked -1000, worked out -1250");
  }

  @Test
  void a_recosting_posts_the_differences_on_its_day_and_shows_them_before() {
    Proof proof =
        book.get(Proving.class)
            .prove(new Draft(PaperKind.RECOSTING, on("2026-03-15"), ROWS), 0, "tester");
    assertThat(proof.work().orElseThrow().later())
        .singleElement()
        .satisfies(
            later -> {
              assertThat(later.difference()).isEqualTo(-250);
              assertThat(later.postingDate()).isEqualTo(LocalDate.of(2026, 3, 15));
            });
    long mend = book.post(PaperKind.RECOSTING, on("2026-03-15"), ROWS);
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    assertThat(book.worth("WRONG")).isEqualTo(3750);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "WRONG", "2026-03-14")).isEqualTo(1000);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "WRONG", "2026-03-15")).isEqualTo(1250);
    assertThatThrownBy(() -> book.voidOn("2026-03-16", mend)).hasMessageContaining("it stays");
    assertThatThrownBy(() -> book.post(PaperKind.RECOSTING, on("2026-03-16"), ROWS))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("there is nothing to put right");
  }

  @Test
  void a_month_does_not_close_over_a_finding_and_closes_once_it_is_put_right() throws Exception {
    Closing closing = book.get(Closing.class);
    LocalDate january = LocalDate.of(2026, 1, 1);
    assertThatThrownBy(() -> closing.close(january, "", "owner"))
        .isInstanceOf(PeriodStore.Wrong.class)
        .hasMessageContaining("found 2 things that do not hold");
    CheckRuns runs = book.get(CheckRuns.class);
    CheckRuns.Run run = runs.latest().orElseThrow();
    assertThat(run.clean()).isFalse();
    assertThat(runs.findings(run.id()).get(0).items()).containsExactly("WRONG");
    book.post(PaperKind.RECOSTING, on("2026-03-15"), ROWS);
    closing.close(january, "", "owner");
    assertThat(runs.latest().orElseThrow().clean()).isTrue();
  }

  @Test
  void a_month_does_not_close_when_what_is_unsettled_has_changed_since_it_was_looked_at() {
    PeriodStore periods = book.get(PeriodStore.class);
    LocalDate january = LocalDate.of(2026, 1, 1);
    String seen = PeriodStore.fingerprint(periods.unsettled(january));
    book.draft(PaperKind.BILL, Map.of("date", "2026-01-20"), List.of());
    assertThatThrownBy(() -> periods.close(january, seen, "owner"))
        .isInstanceOf(PeriodStore.Wrong.class)
        .hasMessageContaining("has changed since you looked");
  }
}
