package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;
import zinctally.store.prove.BalanceStore;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PostingTest {
  private FreshBook book;

  @BeforeAll
  void open() {
    book = new FreshBook();
  }

  @AfterAll
  void close() {
    book.close();
  }

  /**
   * Principles of Accounting, Volume 1 (OpenStax), perpetual costing example, from memory: the book
   * gives 7,200 under FIFO and 7,253 (rounded) under the moving average.
   */
  @ParameterizedTest
  @CsvSource({"FIFO, 720000, 895500", "AVERAGE, 725294, 890206"})
  void the_textbook_example_gives_its_cost_through_the_real_posting(
      String method, long cost, long left) {
    String code = "TXT-" + method;
    book.item(code, method);
    book.post(
        PaperKind.OPENING_STOCK,
        Map.of("columns", "code,quantity,unit_cost", "place", "Store"),
        List.of(Map.of("c0", code, "c1", "150", "c2", "21.00")));
    book.invoice("2026-02-01", code, "120", "36.00");
    book.bill("2026-02-02", code, "225", "27.00");
    book.invoice("2026-02-03", code, "180", "39.00");
    book.bill("2026-02-04", code, "210", "33.00");
    assertThat(cogs(code)).isEqualTo(cost);
    assertThat(worth(code)).isEqualTo(left);
    inStep();
  }

  @Test
  void a_paper_entered_late_corrects_each_sale_on_its_own_day() {
    book.item("LATE", "FIFO");
    book.bill("2026-03-01", "LATE", "10", "2.00");
    book.invoice("2026-03-10", "LATE", "4", "5.00");
    book.bill("2026-02-20", "LATE", "4", "1.00");
    assertThat(worth("LATE")).isEqualTo(2000);
    assertThat(cogs("LATE")).isEqualTo(400);
    assertThat(
            book.sql()
                .sql(
                    "select sum(n.value) from cost_entry n join item i on i.id = n.item_id"
                        + " where i.code = 'LATE' and posting_date = '2026-03-10'")
                .query(Long.class)
                .single())
        .isEqualTo(-400);
    inStep();
  }

  @Test
  void the_same_draft_posted_from_two_windows_at_once_posts_once() throws Exception {
    book.item("TWICE", "FIFO");
    book.bill("2026-03-01", "TWICE", "10", "2.00");
    long draft =
        book.draft(
            PaperKind.INVOICE,
            Map.of("date", "2026-03-02", "customer", "Fenwick Garden", "place", "Store"),
            FreshBook.rows("TWICE", "3", "5.00"));
    Callable<Long> post = () -> book.get(Posting.class).post(draft, "tester");
    ExecutorService two = Executors.newFixedThreadPool(2);
    List<Future<Long>> done = two.invokeAll(List.of(post, post));
    two.shutdown();
    assertThat(done.get(0).get()).isEqualTo(done.get(1).get());
    assertThat(worth("TWICE")).isEqualTo(1400);
  }

  @Test
  void what_is_not_there_cannot_be_sold_and_nothing_changes() {
    book.item("SHORT", "FIFO");
    book.bill("2026-03-01", "SHORT", "2", "2.00");
    Proof.Balance before = book.get(BalanceStore.class).now();
    assertThatThrownBy(() -> book.invoice("2026-03-02", "SHORT", "3", "5.00"))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> {
              assertThat(r.faults().get(0).cell()).isEqualTo("rows.0.quantity");
              assertThat(r.faults().get(0).says())
                  .isEqualTo("Store has 2 of Item SHORT; this takes 3.");
            });
    assertThat(book.get(BalanceStore.class).now()).isEqualTo(before);
  }

  @Test
  void a_late_sale_that_would_leave_a_later_one_short_is_refused() {
    book.item("THEN", "FIFO");
    book.bill("2026-03-01", "THEN", "5", "2.00");
    book.invoice("2026-03-20", "THEN", "4", "5.00");
    assertThatThrownBy(() -> book.invoice("2026-03-10", "THEN", "2", "5.00"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("1 of Item THEN");
  }

  @Test
  void two_people_cannot_sell_the_same_last_unit() throws Exception {
    book.item("LAST", "FIFO");
    book.bill("2026-03-01", "LAST", "5", "2.00");
    ExecutorService many = Executors.newFixedThreadPool(12);
    List<Callable<Boolean>> sales =
        java.util.Collections.nCopies(
            12,
            () -> {
              try {
                book.invoice("2026-03-02", "LAST", "1", "5.00");
                return true;
              } catch (Refused nothingLeft) {
                return false;
              }
            });
    long sold = 0;
    for (Future<Boolean> sale : many.invokeAll(sales)) if (sale.get()) sold++;
    many.shutdown();
    assertThat(sold).isEqualTo(5);
    assertThat(worth("LAST")).isZero();
    inStep();
  }

  @Test
  void the_proof_is_what_the_posting_writes() {
    book.item("PROOF", "AVERAGE");
    book.bill("2026-03-01", "PROOF", "3", "3.3333");
    Draft draft =
        new Draft(
            PaperKind.INVOICE,
            Map.of("date", "2026-03-02", "customer", "Fenwick Garden", "place", "Store"),
            FreshBook.rows("PROOF", "1", "9.00"));
    Proof proof = book.get(Proving.class).prove(draft, 0, "tester");
    assertThat(proof.faults()).isEmpty();
    long paper = book.post(draft.kind(), draft.fields(), draft.rows());
    List<Long> written =
        book.sql()
            .sql(
                "select amount from journal_line l join journal j on j.id = l.journal_id"
                    + " where j.paper_id = ? order by l.line")
            .param(paper)
            .query(Long.class)
            .list();
    assertThat(written)
        .isEqualTo(
            proof.work().orElseThrow().journals().get(0).lines().stream()
                .map(l -> l.amount().minor())
                .toList());
    assertThat(proof.work().get().after()).isEqualTo(book.get(BalanceStore.class).now());
  }

  private long worth(String code) {
    return book.sql()
        .sql("select p.worth from cost_pool p join item i on i.id = p.item_id where i.code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private long cogs(String code) {
    return book.sql()
        .sql(
            """
            select coalesce(sum(l.amount), 0) from journal_line l
            join account a on a.id = l.account_id join item i on i.id = l.item_id
            where a.role = 'COST_OF_GOODS_SOLD' and i.code = ?
            """)
        .param(code)
        .query(Long.class)
        .single();
  }

  private void inStep() {
    assertThat(book.get(BalanceStore.class).now().apart()).isZero();
    assertThat(
            book.sql()
                .sql("select coalesce(sum(amount), 0) from journal_line")
                .query(Long.class)
                .single())
        .isZero();
  }
}
