package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookStore;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.posting.Proving;
import zinctally.store.sell.PriceStore;

/** Goods made of other goods, and taken apart again. */
class AssemblyTest {
  private FreshBook book;

  @BeforeEach
  void wax_candles_boxes_and_sets() {
    book = new FreshBook();
    for (String code : List.of("WAX", "CANDLE", "CARTON", "BOX", "SET")) book.item(code, "FIFO");
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long make(String date, String item, String quantity, String... itemQuantityAmount) {
    return book.paper(
        PaperKind.ASSEMBLY,
        date,
        Map.of("item", item, "quantity", quantity),
        "item quantity amount",
        itemQuantityAmount);
  }

  private long takeApart(String date, String item, String sharing, String... cells) {
    return book.paper(
        PaperKind.DISASSEMBLY,
        date,
        Map.of("item", item, "quantity", "1", "sharing", sharing),
        "item quantity share amount",
        cells);
  }

  private long freight(String date, String bill, String amount) {
    return book.paper(
        PaperKind.CHARGE, date, Map.of("what", "Freight", "amount", amount), "bill", bill);
  }

  private void mayGoShort() {
    book.get(BookStore.class)
        .save("Test book", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, true);
    book.get(PeopleStore.class).add("tester", "Tester", "{noop}x", Person.Role.OWNER);
  }

  private void price(String code, String each) {
    PriceStore prices = book.get(PriceStore.class);
    long item =
        book.sql().sql("select id from item where code = ?").param(code).query(Long.class).single();
    prices.set(item, prices.lists().get(0).id(), null, 0, new BigDecimal(each), "tester");
  }

  private long sold(String code, String day) {
    return book.booked("COST_OF_GOODS_SOLD", code, day);
  }

  /** Two sets, made in three steps of ten of wax for 20.00 and two cartons for 1.00. */
  private long threeLevels() {
    long wax = book.bill("2026-02-01", "WAX", "10", "2.00");
    book.bill("2026-02-01", "CARTON", "2", "0.50");
    make("2026-02-05", "CANDLE", "8", "WAX", "4", "", "6100 Pouring", "", "2.00");
    make("2026-02-10", "BOX", "2", "CANDLE", "6", "", "CARTON", "2", "");
    make("2026-02-15", "SET", "2", "BOX", "2", "");
    return wax;
  }

  /**
   * By hand: 4 of wax at 2.00 and 2.00 of labour are 8 candles at 1.25; 6 of them and two cartons
   * at 0.50 are 2 boxes at 4.25, which are the sets. 5.00 of freight makes wax 2.50 each, candles
   * 1.50, boxes and sets 5.00; of the two sets one is sold, so 0.75 of it is sold.
   */
  @Test
  void freight_on_wax_five_weeks_later_reaches_the_set_that_was_sold() {
    long wax = threeLevels();
    book.invoice("2026-02-20", "SET", "1", "12.00");
    assertThat(sold("SET", "2026-03-21")).isEqualTo(425);
    assertThat(book.worth("SET")).isEqualTo(425);
    Draft late =
        new Draft(
            PaperKind.CHARGE,
            Map.of(
                "date",
                "2026-03-22",
                "supplier",
                "Orrin Joinery",
                "what",
                "Freight",
                "amount",
                "5.00"),
            List.of(Map.of("bill", book.number(wax))));
    Proof proof = book.get(Proving.class).prove(late, 0, "tester");
    assertThat(proof.work().orElseThrow().later())
        .as("the invoice, and both sides of three assemblies")
        .hasSize(7);
    freight("2026-03-22", book.number(wax), "5.00");
    assertThat(sold("SET", "2026-03-21")).isEqualTo(425);
    assertThat(sold("SET", "2026-03-22")).isEqualTo(500);
    assertThat(List.of(book.worth("WAX"), book.worth("CANDLE"), book.worth("SET")))
        .containsExactly(1500L, 300L, 500L);
    assertThat(book.worth("BOX")).isZero();
  }

  @Test
  void the_ledger_has_what_was_made_against_its_components_and_the_charges() {
    book.bill("2026-02-01", "WAX", "10", "2.00");
    make("2026-02-05", "CANDLE", "8", "WAX", "4", "", "6100 Pouring", "", "2.00");
    assertThat(book.booked("STOCK", "CANDLE", "2026-02-05")).isEqualTo(1000);
    assertThat(book.booked("STOCK", "WAX", "2026-02-05")).isEqualTo(1200);
    assertThat(
            book.sql()
                .sql(
                    "select l.amount, l.memo from journal_line l join account a"
                        + " on a.id = l.account_id where a.code = '6100'")
                .query((row, n) -> row.getLong(1) + " " + row.getString(2))
                .list())
        .containsExactly("-200 Pouring");
  }

  @Test
  void voiding_and_amending_give_every_figure_back() {
    long wax = threeLevels();
    Map<LocalDate, String> before = book.figures();
    long more = make("2026-02-07", "CANDLE", "2", "WAX", "3", "");
    book.amend(
        more,
        PaperKind.ASSEMBLY,
        Map.of("date", "2026-02-06", "place", "Store", "item", "CANDLE", "quantity", "4"),
        List.of(Map.of("item", "WAX", "quantity", "2")));
    book.voidOn("2026-02-06", more);
    assertThat(book.figures()).isEqualTo(before);
    long freight = freight("2026-03-22", book.number(wax), "5.00");
    book.voidOn("2026-03-22", freight);
    assertThat(book.figures()).isEqualTo(before);
  }

  @Test
  void a_component_bought_late_for_an_earlier_day_changes_what_was_made_since() {
    mayGoShort();
    make("2026-02-05", "CANDLE", "8", "WAX", "4", "");
    book.invoice("2026-02-20", "CANDLE", "8", "3.00");
    assertThat(sold("CANDLE", "2026-06-30")).isZero();
    book.bill("2026-03-01", "WAX", "10", "2.00");
    assertThat(sold("CANDLE", "2026-02-28")).isZero();
    assertThat(sold("CANDLE", "2026-03-01")).isEqualTo(800);
  }

  @Test
  void what_is_short_is_not_made_up_for_by_what_was_made_of_it() {
    mayGoShort();
    make("2026-02-05", "CANDLE", "1", "WAX", "1", "");
    assertThatThrownBy(
            () ->
                takeApart(
                    "2026-02-06", "CANDLE", "quantity", "WAX", "1", "", "", "6100", "", "", "1"))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> assertThat(r.faults().get(0).says()).contains("made of themselves"));
  }

  /**
   * By hand: a hive of 50.00 and 1.00 of work into a box, 10 frames and 2 lids. By present cost
   * (16.40, 41.90, 6.00 of 64.30): 13.01, 33.23, 4.76. By price (30.00, 60.00, 10.00): 15.30,
   * 30.60, 5.10. By values given (20.00, 10 x 1.00, 2 x 5.00 of 40.00): 25.50, 12.75, 12.75. By how
   * many (1, 10, 2 of 13): 3.92, 39.23, 7.85. By hand (3, 2, 1 of 6): 25.50, 17.00, 8.50.
   */
  @ParameterizedTest
  @CsvSource({
    "cost, '', '', '', 1301, 3323, 476",
    "price, '', '', '', 1530, 3060, 510",
    "value, 20.00, 1.00, 5.00, 2550, 1275, 1275",
    "quantity, '', '', '', 392, 3923, 785",
    "hand, 3, 2, 1, 2550, 1700, 850"
  })
  void a_whole_is_shared_over_its_parts(
      String sharing, String box, String frames, String lids, long a, long b, long c) {
    book.item("HIVE", "FIFO");
    book.item("FRAME", "FIFO");
    book.bill("2026-02-01", "HIVE", "1", "50.00", "BOX", "1", "16.40");
    book.bill("2026-02-01", "FRAME", "50", "4.19", "CARTON", "10", "3.00");
    price("BOX", "30.00");
    price("FRAME", "6.00");
    price("CARTON", "5.00");
    long box0 = book.worth("BOX");
    long frame0 = book.worth("FRAME");
    long lid0 = book.worth("CARTON");
    takeApart(
        "2026-02-05",
        "HIVE",
        sharing,
        "BOX",
        "1",
        box,
        "",
        "FRAME",
        "10",
        frames,
        "",
        "CARTON",
        "2",
        lids,
        "",
        "6100",
        "",
        "",
        "1.00");
    assertThat(
            List.of(
                book.worth("BOX") - box0,
                book.worth("FRAME") - frame0,
                book.worth("CARTON") - lid0))
        .containsExactly(a, b, c);
    assertThat(book.worth("HIVE")).isZero();
  }

  /** IAS 2.14 (from memory): a by-product at what it would fetch, the rest bears what is left. */
  @Test
  void a_part_with_a_value_of_its_own_leaves_the_rest_to_the_others() {
    long bill = book.bill("2026-02-01", "SET", "1", "50.00");
    takeApart(
        "2026-02-05",
        "SET",
        "quantity",
        "WAX",
        "1",
        "",
        "4.00",
        "CANDLE",
        "1",
        "",
        "",
        "BOX",
        "1",
        "",
        "");
    freight("2026-03-01", book.number(bill), "2.00");
    assertThat(List.of(book.worth("WAX"), book.worth("CANDLE"), book.worth("BOX")))
        .containsExactly(400L, 2400L, 2400L);
  }

  @Test
  void serial_numbers_and_lots_go_in_and_come_out() {
    book.sql()
        .sql("update item set tracking = 'SERIAL', method = 'SPECIFIC' where code = 'SET'")
        .update();
    book.sql().sql("update item set tracking = 'LOT' where code = 'WAX'").update();
    book.paper(
        PaperKind.BILL,
        "2026-02-01",
        Map.of(),
        "item quantity price numbers",
        "WAX",
        "10",
        "2.00",
        "L-1: 6, L-2: 4");
    book.paper(
        PaperKind.ASSEMBLY,
        "2026-02-05",
        Map.of("item", "SET", "quantity", "3", "numbers", "S-1, S-2, S-3"),
        "item quantity numbers",
        "WAX",
        "5",
        "L-1: 3, L-2: 2");
    book.paper(
        PaperKind.INVOICE,
        "2026-02-10",
        Map.of(),
        "item quantity price numbers",
        "SET",
        "1",
        "9.00",
        "S-2");
    assertThat(sold("SET", "2026-02-10")).as("10.00 over three: 3.34, 3.33, 3.33").isEqualTo(333);
    assertThat(book.worth("SET")).isEqualTo(667);
  }

  @Test
  void what_is_wrong_is_said_at_its_cell() {
    book.bill("2026-02-01", "WAX", "10", "2.00");
    refused("rows.0.item", "cannot be made of itself", "CANDLE", "1", "");
    refused("rows.0.quantity", "above zero", "WAX", "-1", "");
    refused("rows.0.amount", "Goods cost what the book says", "WAX", "1", "3");
    refused("rows.0.amount", "How much of it", "6100", "", "");
    refused("rows.0.item", "Of what is it made", "", "", "");
    refused("rows.0.quantity", "has 10", "WAX", "11", "");
  }

  private void refused(String cell, String says, String... row) {
    assertThatThrownBy(() -> make("2026-02-05", "CANDLE", "8", row))
        .isInstanceOfSatisfying(
            Refused.class,
            r -> {
              assertThat(r.faults().get(0).cell()).isEqualTo(cell);
              assertThat(r.faults().get(0).says()).contains(says);
            });
  }
}
