package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.book.SetUp;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ConsignListings;
import zinctally.store.listing.ListingStore;
import zinctally.store.parties.MergeStore;
import zinctally.store.prove.TieOutStore;
import zinctally.store.sell.TillStore;

/** Goods of suppliers that are here on consignment, worked by hand to the cent. */
class ConsignmentTest {
  private static final String HERE = "Store, of Hana Keeper";
  private FreshBook book;

  @BeforeEach
  void jars_and_extractors() {
    book = new FreshBook();
    for (String method : List.of("FIFO", "AVERAGE")) book.item(method, method);
    book.item("EX", "SPECIFIC");
    book.item("LOT", "FIFO");
    book.sql().sql("update item set tracking = 'SERIAL' where code = 'EX'").update();
    book.sql().sql("update item set tracking = 'LOT' where code = 'LOT'").update();
    book.sql()
        .sql(
            "insert ignore into reason (name, account_id) select 'Broken', min(id) from account"
                + " where kind = 'EXPENSE' and role = 'NONE'")
        .update();
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long agreed(String date, Map<String, String> head, String column, String... cells) {
    Map<String, String> fields = new java.util.HashMap<>(Map.of("supplier", "Hana Keeper"));
    fields.putAll(head);
    return book.paper(PaperKind.AGREEMENT, date, fields, "item " + column, cells);
  }

  private long comes(String date, String... itemQuantityNumbers) {
    return goods(PaperKind.CONSIGNMENT_IN, date, itemQuantityNumbers);
  }

  private long goods(PaperKind kind, String date, String... itemQuantityNumbers) {
    return book.paper(
        kind,
        date,
        Map.of("supplier", "Hana Keeper"),
        "item quantity numbers",
        itemQuantityNumbers);
  }

  private long sell(String date, String item, String quantity, String price, String... more) {
    String[] cells = new String[3 + more.length / 2];
    StringBuilder columns = new StringBuilder("item quantity price");
    cells[0] = item;
    cells[1] = quantity;
    cells[2] = price;
    for (int i = 0; i < more.length; i += 2) {
      columns.append(' ').append(more[i]);
      cells[3 + i / 2] = more[i + 1];
    }
    return book.paper(PaperKind.INVOICE, date, Map.of(), columns.toString(), cells);
  }

  private long settle(String date, String... itemQuantityAmount) {
    return book.paper(
        PaperKind.SETTLEMENT,
        date,
        Map.of("supplier", "Hana Keeper"),
        "item quantity amount",
        itemQuantityAmount);
  }

  private long owed(String item) {
    return -book.booked("OWED_FOR_CONSIGNED", item, "2026-12-31");
  }

  private long cost(String item) {
    return book.booked("COST_OF_GOODS_SOLD", item, "2026-12-31");
  }

  private long at(String place, String item) {
    return book.sql()
        .sql(
            """
            select coalesce(sum(s.quantity), 0) div 1000000 from place_stock s
            join place p on p.id = s.place_id and p.name = ? join item i on i.id = s.item_id
            where i.code = ?
            """)
        .params(place, item)
        .query(Long.class)
        .single();
  }

  private List<String> entry(long paper) {
    return book.sql()
        .sql(
            """
            select concat(a.name, ' ', sum(l.amount)) from journal j
            join journal_line l on l.journal_id = j.id join account a on a.id = l.account_id
            where j.paper_id = ? group by a.id having sum(l.amount) <> 0 order by a.code
            """)
        .param(paper)
        .query(String.class)
        .list();
  }

  /** One of ours at 8.00 and five of theirs at 10.00; two are sold at 15.00: one of each. */
  @ParameterizedTest
  @ValueSource(strings = {"FIFO", "AVERAGE"})
  void our_own_is_sold_first_then_theirs_which_is_owed_and_what_comes_back_is_ours(String item) {
    agreed("2026-01-01", Map.of(), "cost", item, "10");
    book.bill("2026-01-02", item, "1", "8.00");
    comes("2026-01-03", item, "5", "");
    assertThat(book.worth(item)).isEqualTo(800);
    long sale = sell("2026-01-10", item, "2", "15.00");
    assertThat(entry(sale))
        .containsExactlyInAnyOrder(
            "Trade receivables 3000",
            "Stock on hand -800",
            "Owed for consigned goods -1000",
            "Sales -3000",
            "Cost of goods sold 1800");
    assertThat(at("Store", item)).isZero();
    assertThat(at(HERE, item)).isEqualTo(4);
    assertThat(book.worth(item)).isZero();
    book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-01-12",
        Map.of(),
        "paper item quantity",
        book.number(sale),
        item,
        "1");
    assertThat(at("Store", item)).isEqualTo(1);
    assertThat(at(HERE, item)).isEqualTo(4);
    assertThat(owed(item)).isEqualTo(1000);
    assertThat(book.worth(item)).isIn(800L, 1000L);
  }

  /** Agreed at 10.00 for each, settled at 9.50: the 0.50 comes off what it cost. */
  @Test
  void a_settlement_at_another_price_changes_the_cost_of_what_was_sold() {
    agreed("2026-01-01", Map.of(), "cost", "FIFO", "10");
    comes("2026-01-03", "FIFO", "5", "");
    sell("2026-01-10", "FIFO", "2", "15.00");
    long settlement = settle("2026-02-01", "FIFO", "2", "19.00");
    assertThat(entry(settlement))
        .containsExactlyInAnyOrder(
            "Owed for consigned goods 2000", "Trade payables -1900", "Cost of goods sold -100");
    assertThat(owed("FIFO")).isZero();
    assertThat(cost("FIFO")).isEqualTo(1900);
    assertThatThrownBy(() -> settle("2026-02-02", "FIFO", "1", "10.00"))
        .hasMessageContaining("0 of Item FIFO of Hana Keeper were sold");
    book.voidOn("2026-02-03", settlement);
    assertThat(owed("FIFO")).isEqualTo(2000);
    assertThat(cost("FIFO")).isEqualTo(2000);
  }

  /** Sold at 20.00 with 10 % off, 40 % theirs: 7.20 when both bear it, 8.00 when we do, 6.00. */
  @ParameterizedTest
  @CsvSource({"both, 720", "ours, 800", "theirs, 600"})
  void a_share_of_the_price_bears_its_discount_as_agreed(String who, long owed) {
    agreed("2026-01-01", Map.of("discounts", who), "share", "", "40");
    comes("2026-01-03", "AVERAGE", "3", "");
    sell("2026-01-10", "AVERAGE", "1", "20.00", "discount", "10");
    assertThat(owed("AVERAGE")).isEqualTo(owed);
  }

  @Test
  void a_sale_amended_after_its_settlement_leaves_what_its_share_changed_by_to_be_settled() {
    agreed("2026-01-01", Map.of(), "share", "FIFO", "40");
    comes("2026-01-03", "FIFO", "3", "");
    long sale = sell("2026-01-10", "FIFO", "1", "20.00");
    settle("2026-02-01", "FIFO", "1", "");
    assertThat(owed("FIFO")).isZero();
    book.amend(
        sale,
        PaperKind.INVOICE,
        Map.of("date", "2026-01-10", "customer", "Fenwick Garden", "place", "Store"),
        FreshBook.rows("FIFO", "1", "18.00"));
    assertThat(owed("FIFO")).isEqualTo(-80);
    assertThat(cost("FIFO")).isEqualTo(720);
    assertThat(book.get(TieOutStore.class).controls(java.time.LocalDate.of(2026, 2, 5)))
        .allMatch(TieOutStore.Control::agrees);
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    settle("2026-02-10", "FIFO", "0", "");
    assertThat(owed("FIFO")).isZero();
    assertThatThrownBy(() -> book.voidOn("2026-02-11", sale)).hasMessageContaining("void that");
  }

  @Test
  void what_goes_before_its_invoice_is_owed_at_the_price_expected_and_then_at_its_own() {
    agreed("2026-01-01", Map.of(), "share", "FIFO", "50");
    comes("2026-01-03", "FIFO", "3", "");
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.DELIVERY, "2026-01-10", Map.of(), "item quantity", "FIFO", "2"))
        .hasMessageContaining("has none; give it one under Prices first");
    book.sql()
        .sql(
            "insert into item_price (item_id, list_id, price) select i.id, min(l.id), 30 from item i"
                + " join price_list l where i.code = 'FIFO' group by i.id")
        .update();
    long delivery =
        book.paper(PaperKind.DELIVERY, "2026-01-10", Map.of(), "item quantity", "FIFO", "2");
    assertThat(owed("FIFO")).isEqualTo(3000);
    sell("2026-01-20", "FIFO", "2", "25.00", "of", book.number(delivery));
    assertThat(owed("FIFO")).isEqualTo(2500);
    assertThat(cost("FIFO")).isEqualTo(2500);
    assertThat(book.booked("SENT_NOT_INVOICED", "FIFO", "2026-12-31")).isZero();
    settle("2026-02-01", "FIFO", "2", "30.00", "FIFO", "0", "-5.00");
    assertThat(owed("FIFO")).isZero();
  }

  @Test
  void a_serial_number_says_whose_it_is_and_goes_back_to_its_owner_only() {
    agreed("2026-01-01", Map.of(), "cost", "EX", "100");
    book.paper(
        PaperKind.BILL,
        "2026-01-02",
        Map.of(),
        "item quantity price numbers",
        "EX",
        "1",
        "80",
        "A");
    comes("2026-01-03", "EX", "2", "B, C");
    sell("2026-01-10", "EX", "1", "150.00", "numbers", "C");
    assertThat(owed("EX")).isEqualTo(10000);
    assertThat(book.worth("EX")).isEqualTo(8000);
    assertThatThrownBy(() -> goods(PaperKind.CONSIGNMENT_BACK, "2026-01-11", "EX", "1", "A"))
        .hasMessageContaining("A is not at " + HERE + ": it is at Store");
    assertThatThrownBy(() -> goods(PaperKind.CONSIGNMENT_BACK, "2026-01-11", "EX", "1", "C"))
        .hasMessageContaining("C is not at " + HERE + ": it went with");
    goods(PaperKind.CONSIGNMENT_BACK, "2026-01-11", "EX", "1", "B");
    assertThat(at(HERE, "EX")).isZero();
  }

  @Test
  void of_a_lot_that_both_have_ours_goes_first() {
    agreed("2026-01-01", Map.of(), "cost", "LOT", "6");
    book.paper(
        PaperKind.BILL,
        "2026-01-02",
        Map.of(),
        "item quantity price numbers",
        "LOT",
        "2",
        "5",
        "L");
    comes("2026-01-03", "LOT", "4", "L: 3, M: 1");
    sell("2026-01-10", "LOT", "4", "9.00", "numbers", "L: 3, M: 1");
    assertThat(owed("LOT")).isEqualTo(1200);
    assertThat(at(HERE, "LOT")).isEqualTo(2);
    assertThat(cost("LOT")).isEqualTo(2200);
  }

  @Test
  void a_line_that_names_their_place_takes_theirs() {
    agreed("2026-01-01", Map.of(), "cost", "FIFO", "10");
    book.bill("2026-01-02", "FIFO", "3", "8.00");
    comes("2026-01-03", "FIFO", "2", "");
    sell("2026-01-10", "FIFO", "2", "15.00", "place", HERE);
    assertThat(owed("FIFO")).isEqualTo(2000);
    assertThat(at("Store", "FIFO")).isEqualTo(3);
    assertThatThrownBy(() -> sell("2026-01-11", "FIFO", "1", "15.00", "place", HERE))
        .hasMessageContaining(HERE + " has 0 of");
  }

  @Test
  void what_is_broken_here_is_owed_or_not_as_agreed() {
    agreed("2026-01-01", Map.of("losses", "ours"), "cost", "FIFO", "10");
    agreed("2026-01-01", Map.of("losses", "theirs"), "cost", "AVERAGE", "10");
    comes("2026-01-03", "FIFO", "5", "", "AVERAGE", "5", "");
    for (String item : List.of("FIFO", "AVERAGE"))
      book.paper(
          PaperKind.ADJUSTMENT,
          "2026-01-10",
          Map.of("place", HERE),
          "item quantity reason",
          item,
          "-2",
          "Broken");
    assertThat(owed("FIFO")).isEqualTo(2000);
    assertThat(owed("AVERAGE")).isZero();
    assertThat(at(HERE, "AVERAGE")).isEqualTo(3);
    assertThat(book.awaited("CONSIGNED_SOLD", "AVERAGE")).isEqualTo(2_000_000);
    settle("2026-02-01", "FIFO", "2", "", "AVERAGE", "2", "");
    assertThat(book.awaited("CONSIGNED_SOLD", "AVERAGE")).isZero();
  }

  @Test
  void goods_without_an_agreement_of_their_day_do_not_come() {
    assertThatThrownBy(() -> comes("2026-01-03", "FIFO", "5", ""))
        .hasMessageContaining("Nothing is agreed with \"Hana Keeper\"");
    agreed("2026-01-05", Map.of(), "cost", "FIFO", "10");
    assertThatThrownBy(() -> comes("2026-01-03", "FIFO", "5", ""))
        .hasMessageContaining("Nothing is agreed with Hana Keeper about Item FIFO on 2026-01-03");
    agreed("2026-01-20", Map.of(), "share", "", "30");
    comes("2026-01-20", "AVERAGE", "1", "", "FIFO", "1", "");
    sell("2026-01-21", "FIFO", "1", "15.00");
    sell("2026-01-21", "AVERAGE", "1", "15.00");
    assertThat(owed("FIFO")).isEqualTo(1000);
    assertThat(owed("AVERAGE")).isEqualTo(450);
  }

  @Test
  void what_was_ordered_on_consignment_comes_in_parts() {
    agreed("2026-01-01", Map.of(), "cost", "FIFO", "10");
    long order =
        book.paper(
            PaperKind.PURCHASE_ORDER,
            "2026-01-02",
            Map.of("supplier", "Hana Keeper", "consigned", "yes"),
            "item quantity price",
            "FIFO",
            "10",
            "10.00");
    String number = book.number(order);
    for (String some : List.of("4", "6"))
      book.paper(
          PaperKind.CONSIGNMENT_IN,
          "2026-01-0" + some,
          Map.of("supplier", "Hana Keeper"),
          "of item quantity",
          number,
          "FIFO",
          some);
    assertThat(book.awaited("TO_BE_CONSIGNED", "FIFO")).isZero();
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.RECEIPT,
                    "2026-01-09",
                    Map.of("supplier", "Hana Keeper"),
                    "of item quantity price",
                    number,
                    "FIFO",
                    "1",
                    "10.00"))
        .hasMessageContaining("is not on " + number);
  }

  @Test
  void ours_at_a_customer_keeps_its_cost_is_not_free_and_is_invoiced_from_there() {
    book.bill("2026-01-02", "FIFO", "10", "8.00");
    book.paper(PaperKind.CONSIGNMENT_OUT, "2026-01-05", Map.of(), "item quantity", "FIFO", "6");
    String there = "At Fenwick Garden";
    assertThat(at(there, "FIFO")).isEqualTo(6);
    assertThat(book.worth("FIFO")).isEqualTo(8000);
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.INVOICE,
                    "2026-01-06",
                    Map.of("customer", "Marlow Shop", "place", there),
                    "item quantity price",
                    "FIFO",
                    "1",
                    "15.00"))
        .hasMessageContaining("These goods are at Fenwick Garden's");
    book.paper(
        PaperKind.INVOICE,
        "2026-01-07",
        Map.of("place", there),
        "item quantity price",
        "FIFO",
        "4",
        "15.00");
    assertThat(cost("FIFO")).isEqualTo(3200);
    book.paper(
        PaperKind.TRANSFER,
        "2026-01-08",
        Map.of("place", there, "into", "Store"),
        "item quantity",
        "FIFO",
        "2");
    assertThat(at(there, "FIFO")).isZero();
    assertThat(at("Store", "FIFO")).isEqualTo(6);
  }

  @Test
  void what_is_bought_and_stays_is_the_customers_has_no_value_and_is_handed_over_in_parts() {
    book.bill("2026-01-02", "FIFO", "10", "8.00");
    long sale =
        book.paper(
            PaperKind.INVOICE,
            "2026-01-05",
            Map.of("stay", "here"),
            "item quantity price",
            "FIFO",
            "6",
            "15.00");
    String theirs = "Store, of Fenwick Garden";
    assertThat(book.worth("FIFO")).isEqualTo(3200);
    assertThat(at(theirs, "FIFO")).isEqualTo(6);
    handOver("2026-01-06", "2");
    assertThat(book.awaited("KEPT_HERE", "FIFO")).isEqualTo(4_000_000);
    assertThatThrownBy(() -> handOver("2026-01-07", "5"))
        .hasMessageContaining("4 of Fenwick Garden's Item FIFO are here");
    assertThatThrownBy(() -> book.voidOn("2026-01-08", sale)).hasMessageContaining("void that");
    String back = book.number(sale);
    assertThatThrownBy(() -> comesBack("2026-01-07", back, "3"))
        .hasMessageContaining("4 of Item FIFO that Fenwick Garden bought are still here as theirs");
    comesBack("2026-01-07", back, "2");
    handOver("2026-01-07", "4");
    assertThat(at(theirs, "FIFO")).isZero();
  }

  private long comesBack(String date, String sale, String quantity) {
    return book.paper(
        PaperKind.CUSTOMER_RETURN, date, Map.of(), "paper item quantity", sale, "FIFO", quantity);
  }

  private long handOver(String date, String quantity) {
    return book.paper(PaperKind.HANDED_OVER, date, Map.of(), "item quantity", "FIFO", quantity);
  }

  @Test
  void a_delivery_of_consigned_goods_can_stay_here_too() {
    agreed("2026-01-01", Map.of(), "cost", "EX", "100");
    comes("2026-01-03", "EX", "2", "B, C");
    long delivery =
        book.paper(
            PaperKind.DELIVERY,
            "2026-01-10",
            Map.of("stay", "here"),
            "item quantity numbers",
            "EX",
            "2",
            "B, C");
    assertThat(at("Store, of Fenwick Garden", "EX")).isEqualTo(2);
    book.voidOn("2026-01-12", delivery);
    assertThat(at(HERE, "EX")).isEqualTo(2);
    assertThat(owed("EX")).isZero();
    assertThat(book.booked("STOCK", "EX", "2026-12-31")).isZero();
  }

  @Test
  void a_new_version_keeps_what_it_took_of_theirs() {
    agreed("2026-01-01", Map.of(), "cost", "FIFO", "10");
    comes("2026-01-03", "FIFO", "5", "");
    long sale = sell("2026-01-10", "FIFO", "3", "15.00");
    book.bill("2026-01-04", "FIFO", "5", "8.00");
    Map<String, String> head =
        Map.of("date", "2026-01-10", "customer", "Fenwick Garden", "place", "Store");
    book.amend(sale, PaperKind.INVOICE, head, FreshBook.rows("FIFO", "4", "15.00"));
    assertThat(owed("FIFO")).isEqualTo(3000);
    assertThat(cost("FIFO")).isEqualTo(3800);
    book.amend(sale, PaperKind.INVOICE, head, FreshBook.rows("FIFO", "2", "15.00"));
    assertThat(owed("FIFO")).isEqualTo(2000);
  }

  @Test
  void pieces_of_an_edition_have_prices_of_their_own_of_which_there_is_a_share() {
    agreed("2026-01-01", Map.of(), "share", "EX", "70");
    book.paper(
        PaperKind.CONSIGNMENT_IN,
        "2026-01-03",
        Map.of("supplier", "Hana Keeper"),
        "item quantity numbers price",
        "EX",
        "2",
        "P-1, P-2",
        "40.00",
        "EX",
        "1",
        "P-3",
        "60.00");
    sell("2026-01-10", "EX", "1", "", "numbers", "P-3");
    assertThat(owed("EX")).isEqualTo(4200);
    assertThatThrownBy(() -> sell("2026-01-11", "EX", "1", "", "numbers", "P-4"))
        .hasMessageContaining("At what price?");
    sell("2026-01-12", "EX", "2", "", "numbers", "P-1, P-2");
    assertThat(owed("EX")).isEqualTo(4200 + 5600);
  }

  @Test
  void two_keepers_that_are_one_have_one_agreement_and_one_heap_of_jars() {
    agreed("2026-01-01", Map.of(), "cost", "FIFO", "10");
    comes("2026-01-03", "FIFO", "5", "");
    book.paper(
        PaperKind.AGREEMENT,
        "2026-01-01",
        Map.of("supplier", "H. Keeper"),
        "item cost",
        "FIFO",
        "10");
    book.paper(
        PaperKind.CONSIGNMENT_IN,
        "2026-01-04",
        Map.of("supplier", "H. Keeper"),
        "item quantity",
        "FIFO",
        "2");
    sell("2026-01-10", "FIFO", "6", "15.00");
    MergeStore parties = book.get(MergeStore.class);
    book.get(SetUp.class)
        .alone(
            () -> {
              parties.merge(
                  parties.named(Party.Kind.SUPPLIER, "H. Keeper").orElseThrow(),
                  parties.named(Party.Kind.SUPPLIER, "Hana Keeper").orElseThrow(),
                  "tester");
              return null;
            });
    assertThat(at(HERE, "FIFO")).isEqualTo(1);
    sell("2026-01-11", "FIFO", "1", "15.00");
    settle("2026-02-01", "FIFO", "7", "");
    assertThat(owed("FIFO")).isZero();
  }

  @Test
  void counting_at_their_place_finds_and_misses_what_is_theirs() {
    agreed("2026-01-01", Map.of(), "cost", "FIFO", "10", "AVERAGE", "10");
    comes("2026-01-03", "FIFO", "5", "", "AVERAGE", "5", "");
    book.paper(
        PaperKind.STOCK_COUNT,
        "2026-01-10",
        Map.of("place", HERE),
        "item expected counted",
        "FIFO",
        "5",
        "4",
        "AVERAGE",
        "5",
        "6");
    assertThat(owed("FIFO")).isEqualTo(1000);
    assertThat(book.booked("COUNT_DIFFERENCES", "FIFO", "2026-12-31")).isEqualTo(1000);
    assertThat(at(HERE, "AVERAGE")).isEqualTo(6);
    assertThat(owed("AVERAGE")).isZero();
  }

  @Test
  void over_the_counter_theirs_are_sold_too_and_the_six_figures_say_so_at_each_date() {
    book.get(TillStore.class).open("Store", 0, "tester");
    agreed("2026-01-01", Map.of(), "share", "FIFO", "50");
    comes("2026-01-03", "FIFO", "5", "");
    book.paper(
        PaperKind.COUNTER_SALE,
        "2026-01-10",
        Map.of("cash", "50"),
        "item quantity price",
        "FIFO",
        "2",
        "9.00");
    goods(PaperKind.CONSIGNMENT_BACK, "2026-01-12", "FIFO", "1", "");
    settle("2026-01-15", "FIFO", "2", "");
    assertThat(figures("2026-01-05")).isEqualTo("came 5 sold 0 back 0 lost 0 here 5 owed 0");
    assertThat(figures("2026-01-10")).isEqualTo("came 5 sold 2 back 0 lost 0 here 3 owed 900");
    assertThat(figures("2026-01-15")).isEqualTo("came 5 sold 2 back 1 lost 0 here 2 owed 0");
  }

  private String figures(String day) {
    StringBuilder says = new StringBuilder();
    book.get(ListingStore.class)
        .all(
            ConsignListings.goods(java.time.LocalDate.parse(day)),
            Ask.ALL,
            row -> {
              for (String figure : List.of("came", "sold", "back", "lost", "here"))
                says.append(figure)
                    .append(' ')
                    .append(((Number) row.get(figure)).longValue() / 1_000_000)
                    .append(' ');
              says.append("owed ").append(((Number) row.get("owed")).longValue());
            });
    return says.toString();
  }
}
