package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Posting;
import zinctally.store.prove.BalanceStore;

/** 32 people sell the last goods of five items while late bills come in. */
class ManyAtOnceTest {
  @Test
  void nothing_is_oversold_nothing_half_posted_and_the_books_are_in_step() throws Exception {
    try (FreshBook book = new FreshBook()) {
      for (int i = 0; i < 5; i++) {
        book.item("HOT-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
        book.bill("2026-02-01", "HOT-" + i, "20", "2.00");
      }
      List<Callable<int[]>> work = new ArrayList<>();
      for (int n = 0; n < 32; n++) work.add(person(book, n));
      ExecutorService people = Executors.newFixedThreadPool(32);
      int sold = 0;
      int bought = 0;
      for (Future<int[]> done : people.invokeAll(work)) {
        sold += done.get()[0];
        bought += done.get()[1];
      }
      people.shutdown();
      assertThat(sold).isPositive();
      long left = one(book, "select sum(on_hand) from cost_pool") / 1_000_000;
      assertThat(left).isEqualTo(100 + bought - sold);
      assertThat(one(book, "select min(on_hand) from cost_pool")).isNotNegative();
      assertThat(one(book, "select min(quantity) from place_stock")).isNotNegative();
      assertThat(
              one(
                  book,
                  "select count(*) from paper p where not exists (select 1 from journal j where j.paper_id = p.id)"))
          .isZero();
      assertThat(one(book, "select sum(worth) from cost_pool"))
          .isEqualTo(one(book, "select sum(value) from cost_entry"));
      assertThat(
              one(
                  book,
                  "select max(last) - count(*) from paper_number n join paper p on p.kind = n.kind where n.kind = 'INVOICE'"))
          .isZero();
      assertThat(book.get(BalanceStore.class).now().apart()).isZero();
    }
  }

  /**
   * What each of two such sales has of the customer's row until it ends, the other may have, too.
   */
  @Test
  void sales_to_a_customer_who_may_owe_any_amount_do_not_wait_for_each_other() throws Exception {
    try (FreshBook book = new FreshBook()) {
      book.item("HOT", "FIFO");
      book.bill("2026-02-01", "HOT", "5", "2.00");
      book.invoice("2026-02-02", "HOT", "1", "3.00");
      try (Connection other = book.get(DataSource.class).getConnection();
          Statement statement = other.createStatement()) {
        other.setAutoCommit(false);
        statement.execute("select * from party where name = 'Fenwick Garden' lock in share mode");
        assertThat(book.invoice("2026-02-02", "HOT", "1", "3.00")).isPositive();
        other.rollback();
      }
    }
  }

  @Test
  void a_draft_posted_while_two_windows_save_it_is_posted_once_and_no_save_fails()
      throws Exception {
    try (FreshBook book = new FreshBook()) {
      book.item("HOT", "FIFO");
      DraftStore drafts = book.get(DraftStore.class);
      ExecutorService windows = Executors.newFixedThreadPool(3);
      for (int n = 0; n < 40; n++) {
        long id =
            book.draft(
                PaperKind.BILL,
                Map.of("date", "2026-02-01", "supplier", "Orrin Joinery", "place", "Store"),
                FreshBook.rows("HOT", "1", "2.00"));
        Draft text = drafts.find(id).orElseThrow().draft();
        Callable<Long> window =
            () -> {
              long kept = 0;
              while (saved(drafts, id, text).isPresent()) kept++;
              return kept;
            };
        Callable<Long> poster = () -> book.get(Posting.class).post(id, "tester");
        for (Future<Long> done : windows.invokeAll(List.of(window, window, poster))) done.get();
      }
      windows.shutdown();
      assertThat(one(book, "select count(*) from paper where kind = 'BILL'")).isEqualTo(40);
    }
  }

  /** As the one window does that has seen the latest. */
  private static Optional<SavedDraft> saved(DraftStore drafts, long id, Draft text) {
    Optional<SavedDraft> kept = Optional.empty();
    while (kept.isEmpty()) {
      SavedDraft now = drafts.find(id).orElseThrow();
      if (now.posted()) return kept;
      kept = drafts.save(id, text, now.seen(), "tester");
    }
    return kept;
  }

  private static Callable<int[]> person(FreshBook book, int n) {
    return () -> {
      Random dice = new Random(n);
      int sold = 0;
      int bought = 0;
      for (int i = 0; i < 12; i++) {
        String first = "HOT-" + dice.nextInt(5);
        String second = "HOT-" + dice.nextInt(5);
        try {
          if (n % 8 == 0) {
            book.bill("2026-02-" + (10 + dice.nextInt(10)), first, "2", "2.50");
            bought += 2;
          } else {
            book.invoice("2026-03-01", first, "1", "5.00", second, "1", "5.00");
            sold += 2;
          }
        } catch (Refused noneLeft) {
          continue;
        }
      }
      return new int[] {sold, bought};
    };
  }

  private static long one(FreshBook book, String query) {
    return book.sql().sql(query).query(Long.class).single();
  }
}
