package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.prove.DayStore;

class OverdueTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 6, 30);

  @Test
  void what_customers_and_suppliers_are_late_with_is_counted_apart_and_credit_is_not_late() {
    try (FreshBook book = new FreshBook()) {
      DayStore day = book.get(DayStore.class);
      book.item("WAX", "FIFO");
      book.bill("2026-03-01", "WAX", "10", "2.00");
      book.invoice("2026-03-05", "WAX", "2", "5.00");
      book.invoice("2026-03-09", "WAX", "1", "5.00");
      book.invoice("2026-06-29", "WAX", "1", "5.00");
      // invoices are due after thirty days
      assertThat(day.overdue("CUSTOMER", TODAY))
          .isEqualTo(new DayStore.Overdue(2, 1500, LocalDate.of(2026, 4, 4)));
      assertThat(day.overdue("CUSTOMER", LocalDate.of(2026, 4, 5)))
          .isEqualTo(new DayStore.Overdue(1, 1000, LocalDate.of(2026, 4, 4)));
      assertThat(day.overdue("CUSTOMER", LocalDate.of(2026, 4, 4)))
          .isEqualTo(new DayStore.Overdue(0, 0, null));
      DayStore.Overdue owed = day.overdue("SUPPLIER", TODAY);
      assertThat(owed.count()).isEqualTo(1);
      assertThat(owed.amount()).isEqualTo(2000);
      book.postAgreed(
          PaperKind.CUSTOMER_PAYMENT,
          Map.of(
              "date", "2026-03-10", "customer", "Fenwick Garden", "money", "1000", "amount", "40"),
          List.of());
      assertThat(day.overdue("CUSTOMER", TODAY).count()).isEqualTo(2);
      assertThat(day.overdue("SUPPLIER", TODAY)).isEqualTo(owed);
    }
  }
}
