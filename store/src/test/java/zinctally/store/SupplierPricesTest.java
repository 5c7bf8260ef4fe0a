package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;

/** What a supplier asked last for an item is what its latest bill that stands says. */
class SupplierPricesTest extends OneBookTest {
  private static String asked() {
    return book.sql()
        .sql(
            "select concat_ws(' ', s.date, s.quantity div 1000000, s.net) from supplier_item s"
                + " join item i on i.id = s.item_id where i.code = 'WAX'")
        .query(String.class)
        .single();
  }

  @Test
  void the_latest_bill_counts_whenever_it_was_entered_until_it_is_amended_or_voided() {
    book.item("WAX", "FIFO");
    long january = book.bill("2026-01-10", "WAX", "10", "2.00");
    assertThat(asked()).isEqualTo("2026-01-10 10 2000");
    long march = book.bill("2026-03-10", "WAX", "4", "2.50");
    assertThat(asked()).isEqualTo("2026-03-10 4 1000");
    book.bill("2026-02-10", "WAX", "5", "9.00");
    assertThat(asked()).as("entered late").isEqualTo("2026-03-10 4 1000");
    Map<String, String> head =
        Map.of("date", "2026-03-10", "supplier", "Orrin Joinery", "place", "Store");
    book.amend(march, PaperKind.BILL, head, FreshBook.rows("WAX", "4", "3.00"));
    assertThat(asked()).isEqualTo("2026-03-10 4 1200");
    book.voidOn("2026-01-10", january);
    assertThat(asked()).as("an older one goes").isEqualTo("2026-03-10 4 1200");
    book.voidOn("2026-03-10", march);
    assertThat(asked()).isEqualTo("2026-02-10 5 4500");
  }
}
