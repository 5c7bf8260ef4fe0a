package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Buying at the keyboard, in the orders in which it happens. All figures worked out by hand. */
class BuyByKeyboardTest extends OwnBookTest {
  /**
   * 10 at 5.00 come as 4 and 6; 5 are sold for 25.00. Billed at 5.60: 6.00 more, of which the five
   * that are gone bear 4 x 0.60 + 1 x 0.60 = 3.00. Five at 5.60 are left: 28.00. With tax of 20 %
   * the bill comes to 67.20.
   */
  @Test
  void an_order_comes_in_two_parts_and_one_bill_for_both_is_dearer() throws Exception {
    item("ORD", "FIFO", "NONE");
    begin("o");
    type("Orrin Joinery", "", "2026-02-01", "2026-02-10", "", "", "ring first");
    type("ORD", "10", "5.00", "S");
    String order = post("60.00");
    String orderUrl = page.url().replaceAll("\\?.*", "");
    assertThat(PdfText.at(page, orderUrl + "/pdf"))
        .contains("Purchase order " + order)
        .contains("Orrin Joinery")
        .contains("ring first")
        .contains("50.00");
    begin("r");
    type("Orrin Joinery", "LS-1", "2026-02-05", "");
    takeAll();
    type("4");
    post("Received, not billed", "20.00");
    begin("r");
    type("Orrin Joinery", "LS-2", "2026-02-08", "");
    takeAll();
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("6");
    post("30.00");
    page.navigate(orderUrl);
    assertThat(page.textContent("main h1")).contains("complete");
    assertThat(booked("RECEIVED_NOT_BILLED", "ORD")).isEqualTo(-5000);
    sell("2026-02-10", "ORD", "5");
    begin("b");
    type("Orrin Joinery", "OJ-1", "2026-02-20", "", "", "", "", "");
    page.waitForSelector(".take >> nth=1");
    assertThat(page.textContent("#proof")).contains("LS-1").contains("LS-2").contains(order);
    page.focus("text=Take all of these");
    page.keyboard().press("Enter");
    page.waitForURL("**at=*");
    type("", "5.60", "", "", "", "5.60");
    String bill =
        post(
            "is billed 0.60 over the order, " + order,
            "2.40 more for 4",
            "3.60 more for 6",
            "+6.00",
            "+3.00",
            "Papers whose cost changes");
    assertThat(ofPaper("PAYABLES", bill)).isEqualTo(-6720);
    assertThat(worth("ORD")).isEqualTo(2800);
    assertThat(booked("COST_OF_GOODS_SOLD", "ORD")).isEqualTo(2800);
    assertThat(booked("RECEIVED_NOT_BILLED", "ORD")).isZero();
    assertThat(page.textContent("#balance")).contains("in step");
    begin("b");
    type("Orrin Joinery", "OJ-1");
    page.waitForCondition(() -> page.textContent("#proof").contains("bears the same number"));
    assertThat(page.getAttribute("#proof .faults a", "href")).endsWith(bill);
  }

  /** 12 billed at 3.00 first: 36.00 Billed, not received; 5 come: 15.00 here, 21.00 to come. */
  @Test
  void a_bill_comes_first_and_its_goods_in_part() {
    item("FIRST", "FIFO", "NONE");
    begin("b");
    type("Calder Glass", "44713", "2026-03-01", "");
    page.keyboard().press("ArrowDown");
    type("", "", "", "");
    type("FIRST", "12", "3.00", "");
    String bill = post("Billed, not received", "36.00");
    assertThat(booked("BILLED_NOT_RECEIVED", "FIRST")).isEqualTo(3600);
    begin("r");
    type("Calder Glass", "W-1", "2026-03-10", "");
    takeAll();
    type("5");
    post("15.00");
    assertThat(worth("FIRST")).isEqualTo(1500);
    assertThat(booked("BILLED_NOT_RECEIVED", "FIRST")).isEqualTo(2100);
    page.navigate(desk.address + "/prove/billed?date=2026-03-31");
    assertThat(page.textContent("main")).contains(bill).contains("21.00").contains("in step");
    page.navigate(desk.address + "/prove/billed?date=2026-03-05");
    assertThat(page.textContent("main")).contains("36.00").contains("in step");
  }

  /**
   * 10 at 6.00 and 10 at 2.00; 4 of the first are sold. Freight of 10.00 by value: 7.50 and 2.50
   * (IAS 2 paragraph 11); the four that are gone bear 3.00 of it.
   */
  @Test
  void freight_billed_by_a_carrier_weeks_later_reaches_goods_here_and_gone() {
    item("HEAVY", "FIFO", "NONE");
    item("LIGHT", "AVERAGE", "NONE");
    begin("r");
    type("Pell Wax", "PW-1", "2026-02-01", "");
    type("HEAVY", "10", "6.00");
    type("LIGHT", "10", "2.00");
    String receipt = post("80.00");
    sell("2026-02-10", "HEAVY", "4");
    begin("c");
    type("Larkin Carriers", "LC-1", "2026-03-01", "", "Freight", "10.00", "", "");
    type(receipt);
    String freight = post("HEAVY, " + receipt, "7.50", "2.50", "Papers whose cost changes");
    assertThat(worth("HEAVY")).isEqualTo(3600 + 450);
    assertThat(worth("LIGHT")).isEqualTo(2250);
    assertThat(booked("COST_OF_GOODS_SOLD", "HEAVY")).isEqualTo(2400 + 300);
    assertThat(ofPaper("PAYABLES", freight)).isEqualTo(-1000);
  }

  /** Three at 100.00, one goes back: 200.00 left, 100.00 and 20.00 tax to be credited. */
  @Test
  void one_of_three_serial_numbers_goes_back_and_is_traced() {
    item("SER", "SPECIFIC", "SERIAL");
    begin("b");
    type("Brenn Metalwork", "26-1", "2026-04-01", "", "", "", "", "");
    type("SER");
    page.waitForSelector("[data-cell='rows.0.numbers']");
    type("3");
    type("X-1", "X-2");
    page.waitForCondition(() -> page.textContent("main").contains("2 of 3 given"));
    type("X-3");
    page.waitForCondition(() -> page.textContent("main").contains("3 of 3 given"));
    page.keyboard().press("Enter");
    type("100", "S");
    String bill = post("300.00", "360.00");
    page.focus("button:has-text('Return')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("1");
    page.keyboard().type("X-9");
    page.waitForCondition(
        () ->
            page.textContent("#proof").contains("No serial number X-9 of Item SER has ever come"));
    page.keyboard().press("Control+A");
    page.keyboard().type("X-2");
    page.focus("[data-cell='rows.0.reason']");
    type("Faulty");
    String back = post("100.00", "120.00");
    assertThat(worth("SER")).isEqualTo(20000);
    assertThat(ofPaper("PAYABLES", back)).isEqualTo(12000);
    assertThat(ofPaper("PRICE_DIFFERENCES", back)).isZero();
    page.keyboard().press("/");
    page.keyboard().type("X-2");
    page.waitForSelector("#found [role=option]:has-text('X-2')");
    page.keyboard().press("Enter");
    page.waitForURL("**/goods/lot/*");
    assertThat(page.textContent("main")).contains(bill).contains(back).contains("not here");
    page.navigate(desk.address + "/buy/returns/reasons");
    assertThat(page.textContent("main")).contains("Faulty").contains("Brenn Metalwork");
  }

  /** What is unusual is asked about; an answer holds for exactly what was asked. */
  @Test
  void more_than_ordered_is_answered_at_the_keyboard_and_asked_again_when_another_was_quicker() {
    item("OVER", "FIFO", "NONE");
    begin("o");
    type("Tamsin Print", "", "2026-05-01", "", "", "", "");
    type("OVER", "10", "2.00", "");
    String order = post("20.00");
    begin("r");
    type("Tamsin Print", "TP-1", "2026-05-02", "");
    takeAll();
    type("12");
    page.waitForCondition(() -> page.textContent("#proof").contains("2 too many"));
    page.keyboard().press("Alt+y");
    page.waitForCondition(() -> page.textContent("#proof").contains("balances"));
    long other =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.RECEIPT,
                    Map.of("date", "2026-05-02", "supplier", "Tamsin Print", "place", "Store"),
                    List.of(Map.of("of", order, "item", "OVER", "quantity", "10"))),
                "bookkeeper");
    desk.get(Posting.class).post(other, "bookkeeper");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=It was not posted");
    assertThat(page.textContent("#proof")).contains("12 too many");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("12");
  }

  /** A supplier's card, from nothing: made, changed, switched off, refused on a paper. */
  @Test
  void a_supplier_that_is_switched_off_takes_no_paper_and_nothing_typed_is_lost() {
    page.navigate(desk.address + "/buy/supplier/new");
    page.fill("#terms", "soon");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=2 fields are not right yet");
    assertThat(page.inputValue("#terms")).isEqualTo("soon");
    page.fill("#name", "Quarry Bees");
    page.fill("#terms", "14");
    page.keyboard().press("Control+Enter");
    page.waitForURL(url -> !url.endsWith("/new"));
    page.waitForSelector("text=14 days, EUR");
    page.focus("a:has-text('Change')");
    page.keyboard().press("Enter");
    page.waitForURL("**/change");
    page.selectOption("#state", "off");
    page.keyboard().press("Control+Enter");
    page.waitForURL(url -> !url.endsWith("/change"));
    page.waitForSelector("text=switched off");
    begin("b");
    type("Quarry Bees", "QB-1");
    page.waitForCondition(() -> page.textContent("#proof").contains("Quarry Bees is switched off"));
    page.reload();
    assertThat(page.inputValue("#their_number")).isEqualTo("QB-1");
  }

  /** A paper set to repeat waits as a draft on the Day page; it does not post itself. */
  @Test
  void rent_repeats_as_a_draft_that_is_looked_at() {
    begin("b");
    type("Wickmere Estate", "Barn 1", "2026-05-31", "", "", "", "", "");
    type("6000", "", "420.00", "");
    post("420.00");
    page.focus("a:has-text('Repeat')");
    page.keyboard().press("Enter");
    page.waitForURL("**/buy/repeating/new*");
    assertThat(page.inputValue("#start")).isEqualTo("2026-06-30");
    page.fill("#times", "many");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=How many times?");
    page.fill("#times", "3");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/buy/repeating");
    page.navigate(desk.address + "/");
    page.navigate(desk.address + "/");
    String today = LocalDate.now().toString();
    long due = LocalDate.of(2026, 6, 30).isAfter(LocalDate.parse(today)) ? 0 : 1;
    assertThat(
            desk.sql()
                .sql("select count(*) from draft where saved_by = 'repeating' and paper_id is null")
                .query(Long.class)
                .single())
        .isEqualTo(due);
  }

  /** One draft for each supplier of what runs short, in whole packs, once. */
  @Test
  void what_runs_short_is_drafted_one_order_a_supplier() {
    for (String code : List.of("SH-1", "SH-2", "SH-3")) item(code, "FIFO", "NONE");
    desk.sql()
        .sql(
            "update item set reorder_point = 5000000, reorder_quantity = 7000000, supplier ="
                + " if(code = 'SH-3', 'Pell Wax', 'Calder Glass'), pack_name = 'cs',"
                + " pack_size = 4000000 where code like 'SH-%'")
        .update();
    page.navigate(desk.address + "/buy/to-order?filter=SH-");
    assertThat(page.textContent("main")).contains("SH-1").contains("4 (cs)");
    page.focus("text=Draft an order for each supplier");
    page.keyboard().press("Enter");
    page.waitForSelector("text=2 orders are drafted");
    List<String> texts =
        desk.sql()
            .sql(
                "select text from draft where kind = 'PURCHASE_ORDER' and paper_id is null order by id")
            .query(String.class)
            .list();
    assertThat(texts).hasSize(2);
    assertThat(texts.get(0))
        .contains("Calder Glass")
        .contains("SH-1")
        .contains("SH-2")
        .contains("2 cs");
    assertThat(texts.get(1)).contains("Pell Wax").contains("SH-3");
    page.navigate(desk.address + "/buy/to-order?filter=SH-");
    page.focus("text=Draft an order for each supplier");
    page.keyboard().press("Enter");
    page.waitForSelector("text=Nothing was drafted");
  }

  /** A bill of 50.00, 10.00 of it sent back: 40.00 is paid and both are settled. */
  @Test
  void credit_is_set_against_a_bill_in_one_payment() {
    item("PAID", "FIFO", "NONE");
    begin("b");
    type("Moorland Hives", "MH-1", "2026-05-01", "", "", "", "", "");
    type("PAID", "10", "5.00", "");
    post("50.00");
    page.focus("button:has-text('Return')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("2");
    String back = post("10.00");
    page.focus("button:has-text('Credit note has come')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.focus("#their_number");
    type("MH-C1");
    post("10.00");
    begin("p");
    type("Moorland Hives", "2026-05-31", "");
    page.waitForSelector("#proof td:has([data-pay]):has-text('MH-1')");
    assertThat(page.textContent("#proof")).contains("MH-C1").contains("credit");
    page.keyboard().press("Alt+a");
    page.keyboard().press("Alt+a");
    page.waitForCondition(() -> page.inputValue("#amount").equals("40.00"));
    String payment = post("Trade payables", "40.00");
    assertThat(ofPaper("MONEY", payment)).isEqualTo(-4000);
    assertThat(
            desk.sql()
                .sql(
                    "select coalesce(sum(abs(o.open)), 0) from open_item o join party w on w.id ="
                        + " o.party_id where w.name = 'Moorland Hives'")
                .query(Long.class)
                .single())
        .isZero();
    assertThat(back).startsWith("RS-");
  }
}
