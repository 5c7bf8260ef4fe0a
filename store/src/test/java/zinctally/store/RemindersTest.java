package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.sell.ReminderStore;

class RemindersTest {
  /** Two invoices of 50.00 and 30.00 are late on 2026-06-30; one of 20.00 is not due yet. */
  @Test
  void a_draft_follows_what_is_late_and_a_sent_one_keeps_what_it_asked_for() {
    try (FreshBook book = new FreshBook()) {
      book.item("LATE", "FIFO");
      book.bill("2026-02-01", "LATE", "10", "4.00");
      String first = book.number(invoice(book, "2026-03-01", "2026-03-31", "50.00"));
      invoice(book, "2026-04-01", "2026-04-30", "30.00");
      invoice(book, "2026-06-20", "2026-07-20", "20.00");
      ReminderStore reminders = book.get(ReminderStore.class);
      assertThat(reminders.draft("tester")).isEqualTo(1);
      assertThat(reminders.draft("tester")).as("one draft at a time").isZero();
      long id = book.sql().sql("select id from reminder").query(Long.class).single();
      assertThat(reminders.find(id).orElseThrow().sum()).isEqualTo(8000);
      pay(book, first, "10.00");
      assertThat(reminders.find(id).orElseThrow().sum()).isEqualTo(7000);
      reminders.sent(id);
      pay(book, first, "40.00");
      assertThat(reminders.find(id).orElseThrow().dues())
          .extracting(ReminderStore.Due::open)
          .containsExactly(4000L, 3000L);
      reminders.sent(id);
      reminders.discard(id);
      assertThat(reminders.find(id).orElseThrow().sum()).as("sent once").isEqualTo(7000);
      assertThat(reminders.draft("tester")).as("the next one").isEqualTo(1);
      long next = book.sql().sql("select max(id) from reminder").query(Long.class).single();
      assertThat(reminders.find(next).orElseThrow().sum()).isEqualTo(3000);
      assertThat(reminders.find(next).orElseThrow().before()).isEqualTo(1);
      String second =
          book.sql()
              .sql("select number from open_item where open = 3000")
              .query(String.class)
              .single();
      pay(book, second, "30.00");
      assertThat(reminders.sent(next)).as("with nothing left to ask for").isFalse();
      assertThat(reminders.find(next).orElseThrow().sentAt()).isNull();
      reminders.discard(next);
      assertThat(reminders.find(next)).isEmpty();
    }
  }

  private static long invoice(FreshBook book, String date, String due, String price) {
    return book.paper(
        PaperKind.INVOICE, date, Map.of("due", due), "item quantity price", "LATE", "1", price);
  }

  private static void pay(FreshBook book, String invoice, String amount) {
    book.post(
        PaperKind.CUSTOMER_PAYMENT,
        Map.of(
            "date", "2026-06-30", "customer", "Fenwick Garden", "money", "1000", "amount", amount),
        List.of(Map.of("paper", invoice, "amount", amount)));
  }
}
