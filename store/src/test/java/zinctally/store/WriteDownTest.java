package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;

/** IAS 2 paragraphs 28 to 34 (from memory): down to net realisable value, back to cost at most. */
class WriteDownTest extends OneBookTest {
  private static long post(String date, Map<String, String> row) {
    return book.post(PaperKind.WRITE_DOWN, Map.of("date", date), List.of(row));
  }

  private static long balance(String role) {
    return book.sql()
        .sql(
            "select coalesce(sum(l.amount), 0) from journal_line l join account a on a.id = l.account_id"
                + " where a.role = ?")
        .param(role)
        .query(Long.class)
        .single();
  }

  private static long worth(String code) {
    return book.sql()
        .sql("select worth from cost_pool h join item i on i.id = h.item_id where i.code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  /**
   * By hand: 10 at 8.00 are 80.00. Expected 7.00 less 1.00 to sell, 60.00: down by 20.00. Two sold
   * take 12.00, 48.00 left, 16.00 under cost. The price rises to 12.00: up by 16.00 to 64.00, cost.
   */
  @Test
  void goods_go_down_to_what_they_fetch_and_back_up_to_cost_and_no_further() {
    book.item("OLD", "AVERAGE");
    long before = balance("WRITE_DOWNS");
    book.bill("2026-02-01", "OLD", "10", "8.00");
    post("2026-03-01", Map.of("item", "OLD", "price", "7", "to_sell", "1"));
    assertThat(worth("OLD")).isEqualTo(6000);
    assertThat(balance("WRITE_DOWNS") - before).isEqualTo(2000);
    book.invoice("2026-03-02", "OLD", "2", "7");
    assertThat(worth("OLD")).isEqualTo(4800);
    long up = post("2026-04-01", Map.of("item", "OLD", "price", "12", "to_sell", ""));
    assertThat(worth("OLD")).isEqualTo(6400);
    assertThat(balance("WRITE_DOWNS") - before).isEqualTo(400);
    assertThatThrownBy(() -> post("2026-04-02", Map.of("item", "OLD", "change", "1")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("stands at cost");
    book.voidOn("2026-04-01", up);
    assertThat(worth("OLD")).isEqualTo(4800);
  }

  @Test
  void no_more_comes_off_than_goods_are_worth() {
    book.item("LOW", "FIFO");
    book.bill("2026-02-01", "LOW", "2", "3.00");
    assertThatThrownBy(() -> post("2026-03-01", Map.of("item", "LOW", "change", "-6.01")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("worth 6.00");
    assertThatThrownBy(() -> post("2026-03-01", Map.of("item", "LOW", "price", "5")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Nothing changes");
  }

  /** A bill entered late, below what was written down: the change is worked out again. */
  @Test
  void a_void_that_would_leave_a_write_down_without_goods_is_refused() {
    book.item("BARE", "FIFO");
    long bill = book.bill("2026-02-01", "BARE", "2", "3.00");
    post("2026-03-01", Map.of("item", "BARE", "change", "-2"));
    assertThatThrownBy(() -> book.voidOn("2026-02-01", bill))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("WD-2026-");
  }
}
