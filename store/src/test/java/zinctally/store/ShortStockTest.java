package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.posting.Voiding;

/** Goods sold before they came: provisional cost, put right by what comes. */
class ShortStockTest {
  private static FreshBook book;

  @BeforeAll
  static void open() {
    book = new FreshBook();
    book.get(BookStore.class)
        .save("Test book", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, true);
    book.get(PeopleStore.class).add("tester", "Tester", "{noop}x", Person.Role.BOOKKEEPER);
  }

  @AfterAll
  static void close() {
    book.close();
  }

  private static void allow(boolean may) {
    book.sql().sql("update app_user set may_sell_short = ?").param(may).update();
  }

  private static long sum(String what, String code) {
    return book.sql()
        .sql(
            "select coalesce(sum("
                + what
                + "), 0) from uncovered_out u join item i on i.id = u.item_id where i.code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private static long cost(long paper) {
    return -book.sql()
        .sql("select sum(booked) from cost_event where paper_id = ?")
        .param(paper)
        .query(Long.class)
        .single();
  }

  @Test
  void without_leave_nobody_sells_what_is_not_there() {
    allow(false);
    book.item("NONE", "FIFO");
    book.bill("2026-02-01", "NONE", "2", "3.00");
    assertThatThrownBy(() -> book.invoice("2026-02-02", "NONE", "5", "9"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Store has 2");
  }

  /**
   * By hand: 2 at 3.00 are there, 5 go: 6.00 and 3 at the latest cost 3.00, 9.00. Then 4 come at
   * 4.00: the 3 cost 12.00, one is left.
   */
  @Test
  void what_comes_covers_what_was_sold_and_puts_its_cost_right() {
    allow(true);
    book.item("SHORT", "FIFO");
    book.bill("2026-02-01", "SHORT", "2", "3.00");
    long sale = book.invoice("2026-02-02", "SHORT", "5", "9");
    assertThat(cost(sale)).isEqualTo(1500);
    assertThat(sum("u.quantity", "SHORT")).isEqualTo(3_000_000);
    assertThat(sum("u.value", "SHORT")).isEqualTo(900);
    book.bill("2026-02-10", "SHORT", "4", "4.00");
    assertThat(cost(sale)).isEqualTo(1800);
    assertThat(sum("u.quantity", "SHORT")).isZero();
    book.figures();
    assertThat(
            book.sql()
                .sql(
                    "select worth from cost_pool h join item i on i.id = h.item_id where i.code = 'SHORT'")
                .query(Long.class)
                .single())
        .isEqualTo(400);
  }

  @Test
  void goods_never_received_stand_at_the_cost_to_assume() {
    allow(true);
    book.item("NEW", "AVERAGE");
    book.sql().sql("update item set standard_cost = 2.5 where code = 'NEW'").update();
    long sale = book.invoice("2026-02-02", "NEW", "4", "9");
    assertThat(cost(sale)).isEqualTo(1000);
    Map<LocalDate, String> before = book.figures();
    long bill = book.bill("2026-02-05", "NEW", "10", "2.00");
    assertThat(cost(sale)).isEqualTo(800);
    book.get(Voiding.class).voidPaper(bill, LocalDate.parse("2026-02-05"), "", "tester");
    assertThat(cost(sale)).isEqualTo(1000);
    assertThat(book.figures()).isEqualTo(before);
  }

  /** By hand: 6 sold in March and 2 in April, at 5.00 each; a sale of February is not touched. */
  @Test
  void an_item_sold_before_it_was_kept_in_stock_gets_the_cost_of_those_sales() {
    allow(false);
    book.item("KEPT", "FIFO");
    book.sql().sql("update item set kind = 'NOT_STOCKED' where code = 'KEPT'").update();
    long february = book.invoice("2026-02-02", "KEPT", "3", "9");
    long march = book.invoice("2026-03-01", "KEPT", "6", "9");
    long april = book.invoice("2026-04-02", "KEPT", "2", "9");
    Map<String, String> head = Map.of("date", "2026-03-01", "item", "KEPT");
    Map<String, String> few = Map.of("place", "Store", "quantity", "7", "unit_cost", "5");
    assertThatThrownBy(() -> book.post(PaperKind.START_TRACKING, head, java.util.List.of(few)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("8 were sold out of Store since 2026-03-01");
    Map<String, String> enough = Map.of("place", "Store", "quantity", "20", "unit_cost", "5");
    long start = book.post(PaperKind.START_TRACKING, head, java.util.List.of(enough));
    assertThat(cost(march)).isEqualTo(3000);
    assertThat(cost(april)).isEqualTo(1000);
    assertThat(
            book.sql()
                .sql("select count(*) from cost_event where paper_id = ?")
                .param(february)
                .query(Long.class)
                .single())
        .isZero();
    assertThat(
            book.sql()
                .sql(
                    "select quantity from place_stock s join item i on i.id = s.item_id where i.code = 'KEPT'")
                .query(Long.class)
                .single())
        .isEqualTo(12_000_000);
    assertThatThrownBy(() -> book.voidOn("2026-03-01", start))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("INV-2026-");
    book.voidOn("2026-04-02", april);
    assertThat(cost(march)).isEqualTo(3000);
  }
}
