package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.OrderListings;
import zinctally.store.reorder.ReorderStore;

/**
 * What experience suggests is worked out of the papers, and taken over only when somebody says so.
 */
class ReorderTest extends OneBookTest {
  private static List<Map<String, Object>> rows() {
    List<Map<String, Object>> rows = new ArrayList<>();
    book.get(ListingStore.class).all(OrderListings.fromExperience(), Ask.ALL, rows::add);
    return rows;
  }

  /**
   * Five a week for 26 weeks, ordered and there ten days later: 5 x 10 / 7 is 7.14, so 8; 20 at a
   * time.
   */
  @Test
  void a_steady_item_is_reordered_for_its_lead_time() {
    book.item("STEADY", "FIFO");
    book.item("RARE", "FIFO");
    book.bill("2026-01-01", "STEADY", "200", "1.00", "RARE", "9", "1.00");
    long order =
        book.paper(
            PaperKind.PURCHASE_ORDER,
            "2026-02-01",
            Map.of(),
            "item quantity price",
            "STEADY",
            "10",
            "1.00");
    book.paper(
        PaperKind.RECEIPT,
        "2026-02-11",
        Map.of(),
        "of item quantity",
        book.number(order),
        "STEADY",
        "10");
    for (int week = 0; week < 26; week++)
      book.invoice(LocalDate.of(2026, 1, 1).plusDays(week * 7L).toString(), "STEADY", "5", "3.00");
    book.invoice("2026-03-01", "RARE", "1", "2.00");
    ReorderStore reorder = book.get(ReorderStore.class);
    reorder.today();
    reorder.today();
    assertThat(book.sql().sql("select count(*) from reorder_advice").query(Long.class).single())
        .isOne();
    assertThat(rows()).hasSize(1);
    Map<String, Object> row = rows().get(0);
    assertThat(row.get("code")).isEqualTo("STEADY");
    assertThat(((Number) row.get("point")).longValue()).isEqualTo(8_000_000);
    assertThat(((Number) row.get("quantity")).longValue()).isEqualTo(20_000_000);
    assertThat(String.valueOf(row.get("reason"))).contains("1 delivery took 10 days");
    assertThat(row.get("now")).isNull();
    assertThat(reorder.takeOver(Ask.of("nothing"), "tester")).isZero();
    assertThat(reorder.takeOver(Ask.ALL, "tester")).isOne();
    assertThat(reorder.takeOver(Ask.ALL, "tester")).isZero();
    assertThat(((Number) rows().get(0).get("now")).longValue()).isEqualTo(8_000_000);
  }
}
