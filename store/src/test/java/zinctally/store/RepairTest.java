package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;

/** Goods that are mended: ours and customers' own. */
class RepairTest {
  private static final String EXPENSE =
      "select concat(code, ' ', name) from account where kind = 'EXPENSE' and role = 'NONE' limit 1";
  private FreshBook book;
  private String wages;

  @BeforeEach
  void extractors_and_wax() {
    book = new FreshBook();
    for (String method : List.of("FIFO", "AVERAGE")) book.item(method, method);
    book.item("EX", "SPECIFIC");
    book.sql().sql("update item set tracking = 'SERIAL' where code = 'EX'").update();
    wages = book.sql().sql(EXPENSE).query(String.class).single();
    book.sql()
        .sql(
            "insert ignore into reason (name, account_id) select 'Scrapped', id from account"
                + " where concat(code, ' ', name) = ?")
        .param(wages)
        .update();
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long bill(String date, String item, String quantity, String price, String numbers) {
    return book.paper(
        PaperKind.BILL,
        date,
        Map.of(),
        "item quantity price numbers",
        item,
        quantity,
        price,
        numbers);
  }

  private long sell(String date, String item, String quantity, String numbers) {
    return book.paper(
        PaperKind.INVOICE,
        date,
        Map.of(),
        "item quantity price numbers",
        item,
        quantity,
        "500.00",
        numbers);
  }

  private long out(String date, String item, String quantity, String numbers) {
    return book.paper(
        PaperKind.REPAIR_OUT,
        date,
        Map.of("repairer", "Ferris Motors", "back_by", "2026-03-31", "expected", "60"),
        "item quantity numbers memo",
        item,
        quantity,
        numbers,
        "hums");
  }

  private long back(String date, long out, boolean intoGoods, String columns, String... cells) {
    Map<String, String> fields = new HashMap<>(Map.of("repair", book.number(out), "into", "Store"));
    if (intoGoods) fields.putAll(Map.of("cost", "goods", "account", wages));
    return book.paper(PaperKind.REPAIR_BACK, date, fields, columns, cells);
  }

  private long cost(long sale) {
    return book.sql()
        .sql("select -sum(booked) from cost_event where paper_id = ? and not gone")
        .param(sale)
        .query(Long.class)
        .single();
  }

  private long on(String account, String day) {
    return book.sql()
        .sql(
            "select coalesce(sum(l.amount), 0) from journal_line l join account a"
                + " on a.id = l.account_id where concat(a.code, ' ', a.name) = ? and l.date <= ?")
        .params(account, day)
        .query(Long.class)
        .single();
  }

  /**
   * Two at 300.00 go out. One is back with 40.00 into its cost, 340.00, and sold; the other is
   * scrap, 300.00 to the reason's account, from which the 40.00 were taken: 260.00.
   */
  @Test
  void of_two_serials_one_comes_back_with_its_cost_and_is_sold_and_one_is_scrap() {
    bill("2026-02-01", "EX", "2", "300.00", "E-1, E-2");
    long out = out("2026-02-10", "EX", "2", "E-1, E-2");
    assertThat(book.worth("EX")).isEqualTo(60000);
    assertThatThrownBy(() -> sell("2026-02-11", "EX", "1", "E-1"))
        .hasMessageContaining("E-1 is not at Store: it is at Ferris Motors");
    back(
        "2026-03-05",
        out,
        true,
        "item quantity numbers charge reason",
        "EX",
        "1",
        "E-1",
        "40.00",
        "",
        "EX",
        "1",
        "E-2",
        "",
        "Scrapped");
    assertThat(book.worth("EX")).isEqualTo(34000);
    assertThat(on(wages, "2026-03-05")).isEqualTo(30000 - 4000);
    assertThat(cost(sell("2026-03-06", "EX", "1", "E-1"))).isEqualTo(34000);
    assertThat(book.worth("EX")).isZero();
    assertThat(book.awaited("IN_REPAIR", "EX")).isZero();
    assertThatThrownBy(
            () -> back("2026-03-07", out, false, "item quantity numbers", "EX", "1", "E-1"))
        .hasMessageContaining("E-1 is not at Ferris Motors: it went with");
  }

  /** 10 at 2.00, 2 out; 6.00 for them: 8 sold before at 16.00 bear nothing, 2 are worth 10.00. */
  @ParameterizedTest
  @CsvSource({"FIFO", "AVERAGE"})
  void what_left_before_they_were_back_bears_nothing_whenever_it_is_entered(String item) {
    bill("2026-02-01", item, "10", "2.00", "");
    long first = sell("2026-02-05", item, "4", "");
    long out = out("2026-02-10", item, "2", "");
    long back = back("2026-03-01", out, true, "item quantity charge", item, "2", "6.00");
    long late = sell("2026-02-20", item, "4", "");
    assertThatThrownBy(() -> back("2026-03-03", out, false, "item quantity", item, "1"))
        .hasMessageContaining("0 are still out with " + book.number(out));
    assertThat(cost(first)).isEqualTo(800);
    assertThat(cost(late)).isEqualTo(800);
    assertThat(book.worth(item)).isEqualTo(1000);
    assertThat(cost(sell("2026-03-02", item, "2", ""))).isEqualTo(1000);
    assertThatThrownBy(() -> book.voidOn("2026-03-03", back)).hasMessageContaining("Store has 0");
  }

  /** A bill of 12.00 in May for goods back in March and half sold in April: 6.00 reach the sale. */
  @Test
  void a_repairers_bill_that_comes_later_reaches_what_was_sold_since() {
    bill("2026-02-01", "AVERAGE", "2", "50.00", "");
    long out = out("2026-02-10", "AVERAGE", "2", "");
    long back = back("2026-03-01", out, true, "item quantity", "AVERAGE", "2");
    long sale = sell("2026-04-01", "AVERAGE", "1", "");
    assertThat(cost(sale)).isEqualTo(5000);
    long charge =
        book.paper(
            PaperKind.CHARGE,
            "2026-05-04",
            Map.of("amount", "12.00", "what", "Motor", "their_number", "F-1"),
            "bill",
            book.number(back));
    assertThat(cost(sale)).isEqualTo(5600);
    assertThat(book.worth("AVERAGE")).isEqualTo(5600);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "AVERAGE", "2026-05-03")).isEqualTo(5000);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "AVERAGE", "2026-05-04")).isEqualTo(5600);
    assertThatThrownBy(() -> book.voidOn("2026-05-05", back))
        .hasMessageContaining(book.number(charge));
    book.voidOn("2026-05-04", charge);
    book.voidOn("2026-04-01", sale);
    book.voidOn("2026-03-01", back);
    assertThat(book.worth("AVERAGE")).isEqualTo(10000);
    assertThat(book.awaited("IN_REPAIR", "AVERAGE")).isEqualTo(2_000_000);
  }

  @Test
  void amending_what_came_back_keeps_its_place_in_later_sales() {
    bill("2026-02-01", "EX", "1", "300.00", "E-1");
    long out = out("2026-02-10", "EX", "1", "E-1");
    long back =
        back("2026-03-01", out, true, "item quantity numbers charge", "EX", "1", "E-1", "40");
    long sale = sell("2026-03-02", "EX", "1", "E-1");
    book.amend(
        back,
        PaperKind.REPAIR_BACK,
        Map.of(
            "date",
            "2026-03-01",
            "repair",
            book.number(out),
            "into",
            "Store",
            "cost",
            "goods",
            "account",
            wages),
        List.of(Map.of("item", "EX", "quantity", "1", "numbers", "E-1", "charge", "55")));
    assertThat(cost(sale)).isEqualTo(35500);
  }

  @Test
  void a_customers_own_extractor_is_here_and_never_ours() {
    bill("2026-02-01", "EX", "1", "300.00", "E-1");
    sell("2026-02-02", "EX", "1", "E-1");
    var before = book.get(zinctally.store.prove.BalanceStore.class).now();
    long in =
        book.paper(
            PaperKind.TAKEN_IN,
            "2026-04-01",
            Map.of("back_by", "2026-04-20"),
            "item quantity numbers memo",
            "EX",
            "1",
            "E-1",
            "no power");
    assertThat(book.worth("EX")).isZero();
    assertThat(book.get(zinctally.store.prove.BalanceStore.class).now()).isEqualTo(before);
    assertThatThrownBy(() -> sell("2026-04-02", "EX", "1", "E-1"))
        .hasMessageContaining("E-1 is not at Store: it is at Store, of Fenwick Garden");
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.ADJUSTMENT,
                    "2026-04-02",
                    Map.of("place", "Store, of Fenwick Garden"),
                    "item quantity reason numbers",
                    "EX",
                    "-1",
                    "Scrapped",
                    "E-1"))
        .hasMessageContaining("belongs to Fenwick Garden");
    long out =
        book.paper(
            PaperKind.REPAIR_OUT,
            "2026-04-03",
            Map.of("place", "Store, of Fenwick Garden", "repairer", "Ferris Motors"),
            "item quantity numbers",
            "EX",
            "1",
            "E-1");
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.REPAIR_BACK,
                    "2026-04-10",
                    Map.of("repair", book.number(out), "into", "Store", "cost", "goods"),
                    "item quantity numbers reason",
                    "EX",
                    "1",
                    "E-1",
                    "Scrapped"))
        .hasMessageContaining("Fenwick Garden's and have no cost here")
        .hasMessageContaining("not ours to write off");
    back("2026-04-10", out, false, "item quantity numbers", "EX", "1", "E-1");
    long given =
        book.paper(
            PaperKind.GIVEN_BACK,
            "2026-04-20",
            Map.of(),
            "item quantity numbers",
            "EX",
            "1",
            "E-1");
    assertThat(book.awaited("TO_GIVE_BACK", "EX")).isZero();
    assertThatThrownBy(() -> book.voidOn("2026-04-21", in))
        .hasMessageContaining(book.number(given));
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.GIVEN_BACK,
                    "2026-04-21",
                    Map.of(),
                    "item quantity numbers",
                    "EX",
                    "1",
                    "E-1"))
        .hasMessageContaining("E-1 is not at Store, of Fenwick Garden");
  }
}
