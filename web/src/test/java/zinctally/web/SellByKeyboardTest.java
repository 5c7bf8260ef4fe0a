package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.helger.ubl21.UBL21Marshaller;
import java.math.BigDecimal;
import java.util.List;
import oasis.names.specification.ubl.schema.xsd.invoice_21.InvoiceType;
import org.junit.jupiter.api.Test;

/** Selling at the keyboard, in every order in which it happens. All figures worked out by hand. */
class SellByKeyboardTest extends OwnBookTest {
  private static void press(String button) {
    page.focus("button:has-text('" + button + "')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
  }

  /** A price on the book's first list, and tax at the standard rate. */
  private static void sellsAt(String code, String price) {
    desk.sql()
        .sql(
            """
            insert into item_price (item_id, list_id, price)
            select i.id, (select min(id) from price_list), ? from item i where i.code = ?
            """)
        .params(price, code)
        .update();
    desk.sql()
        .sql(
            "update item set tax_rate_id = (select id from tax_rate where code = 'S')"
                + " where code = ?")
        .param(code)
        .update();
  }

  private static void openTill() {
    page.navigate(desk.address + "/counter");
    page.waitForSelector("#amount");
    page.keyboard().type("100");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/drafts/*");
  }

  private static void scan(String... codes) {
    page.waitForCondition(
        () -> (Boolean) page.evaluate("document.activeElement.matches('[data-col=item]')"));
    for (String code : codes) {
      page.keyboard().type(code);
      page.keyboard().press("Enter");
    }
  }

  private static String pdf(String url) throws Exception {
    return PdfText.at(page, url + "/pdf");
  }

  private static String here() {
    return page.url().replaceAll("\\?.*", "");
  }

  /**
   * 6 here at 4.00, 10 ordered at 9.00: 4 short. 6 go: 24.00 sent, not invoiced. They are invoiced
   * at 54.00, 64.80 with tax of 20 %. 4 more come at 5.00 and go too: 20.00, invoiced at 36.00,
   * 43.20.
   */
  @Test
  void an_order_with_a_short_line_is_delivered_and_invoiced_in_two_parts() throws Exception {
    item("SOLD", "FIFO", "NONE");
    receive("SOLD", "2026-02-01", "6", "4.00");
    begin("s");
    type("Fenwick Garden", "FG 7", "2026-02-02", "2026-02-20", "", "", "");
    type("SOLD", "10", "9.00", "", "", "S");
    String order = post("Item SOLD is short: 6 of 10 are free here; none is on order", "108.00");
    String orderUrl = here();
    assertThat(pdf(orderUrl)).contains("Order confirmation " + order);
    press("Deliver what is here");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("6");
    page.fill("#date", "2026-02-03");
    post("Sent, not invoiced", "24.00");
    assertThat(pdf(here())).contains("Delivery note D-").contains("Item SOLD");
    page.navigate(orderUrl);
    assertThat(page.textContent("main h1")).contains("part delivered");
    page.navigate(desk.address + "/prove/sent?date=2026-02-28");
    assertThat(page.textContent("main")).contains("24.00").contains("in step");
    begin("i");
    type("Fenwick Garden", "FG 7", "2026-02-04", "");
    takeAll();
    String first = post("54.00", "64.80", "24.00");
    assertThat(booked("SENT_NOT_INVOICED", "SOLD")).isZero();
    receive("SOLD", "2026-02-10", "4", "5.00");
    page.navigate(desk.address + "/sell/to-deliver?filter=SOLD");
    assertThat(page.textContent("main")).contains("all here").contains(order);
    page.navigate(orderUrl);
    press("Deliver what is here");
    page.fill("#date", "2026-02-11");
    post("20.00");
    press("Invoice what went");
    assertThat(page.inputValue("[data-cell='rows.0.price']")).isEqualTo("9.00");
    page.fill("#date", "2026-02-12");
    String second = post("36.00", "43.20", "20.00");
    page.navigate(orderUrl);
    assertThat(page.textContent("main h1")).contains("complete");
    assertThat(page.textContent(".proof")).contains(first).contains(second);
    assertThat(worth("SOLD")).isZero();
    assertThat(booked("COST_OF_GOODS_SOLD", "SOLD")).isEqualTo(4400);
    assertThat(booked("SALES", "SOLD")).isEqualTo(-9000);
    assertThat(ofPaper("RECEIVABLES", first)).isEqualTo(6480);
    assertThat(ofPaper("SALES_TAX", second)).isEqualTo(-720);
    page.navigate(desk.address + "/sell/sales?from=2026-02-01&to=2026-02-28&filter=SOLD");
    // margin 90.00 - 44.00 = 46.00, 51.1 % of the sales
    assertThat(page.textContent("#rows")).contains("46.00").contains("51.1");
  }

  /**
   * 5 invoiced at 10.00 less 10 % before they go: 45.00 billed ahead, 54.00 owed. 2 go: 18.00
   * earned at a cost of 12.00; then 3.
   */
  @Test
  void an_invoice_goes_first_and_its_goods_in_parts() throws Exception {
    item("AHEAD", "AVERAGE", "NONE");
    receive("AHEAD", "2026-03-01", "5", "6.00");
    begin("i");
    type("Hollin Orchard", "", "2026-03-02", "");
    page.keyboard().press("ArrowDown");
    type("", "", "", "");
    type("AHEAD", "5", "10.00", "10", "", "S");
    String invoice = post("Billed ahead", "45.00", "54.00");
    String invoiceUrl = here();
    InvoiceType file =
        UBL21Marshaller.invoice().read(page.request().get(invoiceUrl + "/ubl").body());
    assertThat(file).as("valid against the schema of UBL 2.1").isNotNull();
    assertThat(file.getIDValue()).isEqualTo(invoice);
    assertThat(file.getLegalMonetaryTotal().getPayableAmountValue())
        .isEqualByComparingTo(new BigDecimal("54.00"));
    assertThat(file.getInvoiceLineAtIndex(0).getInvoicedQuantityValue())
        .isEqualByComparingTo(BigDecimal.valueOf(5));
    assertThat(booked("SALES", "AHEAD")).isZero();
    press("Deliver what is here");
    page.fill("#date", "2026-03-05");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("2");
    post("Billed ahead", "18.00", "12.00");
    assertThat(booked("BILLED_AHEAD", "AHEAD")).isEqualTo(-2700);
    page.navigate(invoiceUrl);
    assertThat(page.textContent(".proof")).contains("18.00").contains("33");
    press("Deliver what is here");
    page.fill("#date", "2026-03-06");
    post("27.00", "18.00");
    assertThat(booked("BILLED_AHEAD", "AHEAD")).isZero();
    assertThat(booked("SALES", "AHEAD")).isEqualTo(-4500);
    assertThat(booked("COST_OF_GOODS_SOLD", "AHEAD")).isEqualTo(3000);
  }

  /**
   * 2 at 4.00 and 1 at 7.00 are sold at 9.00 each, 27.00. One comes back: a third of 15.00 is 5.00
   * to stock, 9.00 and 1.80 tax are paid back from cash.
   */
  @Test
  void one_of_three_pieces_of_two_layers_comes_back_for_money() {
    item("BACK", "FIFO", "NONE");
    receive("BACK", "2026-04-01", "2", "4.00");
    receive("BACK", "2026-04-02", "1", "7.00");
    begin("i");
    type("Larch Cottage", "", "2026-04-03", "", "", "", "", "");
    type("BACK", "3", "9.00", "", "", "S");
    post("27.00", "15.00");
    press("Return");
    page.fill("#date", "2026-04-04");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("4");
    page.waitForCondition(() -> page.textContent("#proof").contains("can still go back"));
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("1", "Faulty");
    page.selectOption("#back", "1010 Cash");
    String back = post("Sales returns", "9.00", "10.80");
    assertThat(worth("BACK")).isEqualTo(500);
    assertThat(booked("COST_OF_GOODS_SOLD", "BACK")).isEqualTo(1000);
    assertThat(ofPaper("MONEY", back)).isEqualTo(-1080);
    assertThat(ofPaper("SALES_TAX", back)).isEqualTo(180);
    assertThat(ofPaper("RECEIVABLES", back)).isZero();
  }

  /**
   * 2 scanned at once and 1 twice: 2 x 30.00 and 2 x 20.00 are 100.00 and 20.00 tax, 120.00. 50.00
   * by card, 40.00 on account in three months, the rest of 30.00 in cash of 50.00: 20.00 change.
   */
  @Test
  void a_counter_sale_is_paid_in_three_ways_and_by_instalments() throws Exception {
    item("CTR-A", "FIFO", "NONE");
    item("CTR-B", "FIFO", "NONE");
    receive("CTR-A", "2026-01-05", "5", "12.00");
    receive("CTR-B", "2026-01-05", "5", "8.00");
    sellsAt("CTR-A", "30");
    sellsAt("CTR-B", "20");
    desk.sql().sql("update app_user set initials = 'OW' where login = 'owner'").update();
    openTill();
    scan("2*", "CTR-A", "CTR-B");
    // typed so slowly that its price is filled in before it turns out to be one more of a line
    // above
    page.keyboard().type("CTR-B");
    page.waitForCondition(() -> !page.inputValue("[data-cell='rows.2.price']").isEmpty());
    page.keyboard().press("Enter");
    page.waitForCondition(() -> page.textContent("#proof").contains("120.00"));
    page.fill("#customer", "Wend Valley Keepers");
    page.fill("#card", "130");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("change is given on cash only"));
    page.fill("#card", "50");
    page.fill("#account", "40");
    page.fill("#times", "3");
    page.fill("#cash", "50");
    page.waitForCondition(
        () -> {
          String proof = page.textContent("#proof");
          return proof.contains("balances") && proof.contains("20.00") && proof.contains("13.34");
        });
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('Change 20.00')");
    String sale = page.textContent(".told a").strip();
    assertThat(sale).startsWith("CS-");
    String handed = desk.address + page.getAttribute(".told a", "href");
    assertThat(page.request().get(handed + "/receipt").text())
        .containsPattern("paid in cash +30.00")
        .containsPattern("paid in card +50.00")
        .containsPattern("Change +20.00");
    assertThat(PdfText.at(page, handed + "/pdf"))
        .containsPattern("Paid in cash\\s+30.00")
        .containsPattern("Paid by card\\s+50.00")
        .containsPattern("Due \\d{4}-\\d\\d-\\d\\d\\s+13.34")
        .containsPattern("Change\\s+20.00");
    assertThat(ofPaper("RECEIVABLES", sale)).isEqualTo(4000);
    assertThat(ofPaper("MONEY", sale)).isEqualTo(8000);
    assertThat(ofPaper("SALES_TAX", sale)).isEqualTo(-2000);
    assertThat(booked("SALES", "CTR-A")).isEqualTo(-6000);
    assertThat(booked("COST_OF_GOODS_SOLD", "CTR-A") + booked("COST_OF_GOODS_SOLD", "CTR-B"))
        .isEqualTo(4000);
    assertThat(worth("CTR-A")).isEqualTo(3600);
    assertThat(
            desk.sql()
                .sql(
                    "select open from open_item o join paper p on p.id = o.paper_id"
                        + " where p.number = ? order by o.due")
                .param(sale)
                .query(Long.class)
                .list())
        .containsExactly(1334L, 1333L, 1333L);
    page.navigate(desk.address + "/counter/till");
    // 100.00 at first and 30.00 of the sale
    assertThat(page.textContent("main")).contains("130.00");
    page.fill("#counted", "129.50");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=0.50 is missing");
  }

  /**
   * One piece sold at 20.00 and 4.00 tax comes back for a credit of 24.00 and is exchanged for one
   * at 25.00 and 5.00 tax: 6.00 in cash are left to pay. Stock and tax end as if the second alone
   * had been sold.
   */
  @Test
  void a_piece_that_comes_back_is_exchanged_over_the_counter() {
    for (String code : List.of("SWAP-A", "SWAP-B")) {
      item(code, "FIFO", "NONE");
      receive(code, "2026-01-05", "2", "7.00");
    }
    sellsAt("SWAP-A", "20");
    sellsAt("SWAP-B", "25");
    openTill();
    // at once: price, tax and proof of the scan come later, and paying and posting wait for them
    scan("SWAP-A");
    page.keyboard().press("Alt+c");
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('CS-')");
    page.focus(".told a");
    page.keyboard().press("Enter");
    page.waitForURL("**/papers/*");
    page.keyboard().press("Alt+b");
    page.waitForURL("**/drafts/*");
    String back = post("20.00", "24.00");
    page.keyboard().press("Alt+e");
    page.waitForURL("**/drafts/*");
    page.focus("[data-cell='rows.0.item']");
    scan("SWAP-B");
    page.waitForCondition(() -> page.textContent("#proof").contains("6.00"));
    page.fill("#credit", "RC-none");
    page.waitForCondition(() -> page.textContent("main").contains("No credit \"RC-none\" is open"));
    page.fill("#credit", back);
    page.fill("#cash", "10");
    page.waitForCondition(() -> page.textContent("#proof").contains("4.00"));
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('Change 4.00')");
    String sale = page.textContent(".told a").strip();
    assertThat(ofPaper("MONEY", sale)).isEqualTo(600);
    assertThat(ofPaper("RECEIVABLES", sale)).isEqualTo(2400);
    assertThat(ofPaper("RECEIVABLES", back)).isEqualTo(-2400);
    assertThat(ofPaper("SALES_TAX", sale) + ofPaper("SALES_TAX", back)).isEqualTo(-100);
    assertThat(worth("SWAP-A")).isEqualTo(1400);
    assertThat(worth("SWAP-B")).isEqualTo(700);
    assertThat(
            desk.sql()
                .sql("select open from open_item where number = ?")
                .param(back)
                .query(Long.class)
                .single())
        .isZero();
    page.navigate(desk.address + "/counter/till");
    page.fill("#counted", "130");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=it holds what it should");
  }

  /** Customers, prices and the look of papers, as the owner sets them up. */
  @Test
  void a_customer_pays_the_price_of_their_list_in_their_language() throws Exception {
    item("LISTED", "FIFO", "NONE");
    receive("LISTED", "2026-05-01", "50", "2.00");
    page.navigate(desk.address + "/sell/customer/new");
    page.fill("#discount", "200");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=2 fields are not right yet");
    page.fill("#name", "Imkerei Tannhof");
    page.fill("#discount", "");
    page.fill("#limit", "100");
    page.selectOption("#list", "Trade");
    page.selectOption("#language", "de");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("h1:has-text('Imkerei Tannhof')");
    page.waitForSelector("text=Owes, by age");
    String card = here();
    page.navigate(desk.address + "/sell/prices");
    page.click("text=Set a price");
    page.fill("input[name=item]", "LISTED");
    page.selectOption("select[name=list]", "Trade");
    page.fill("input[name=least]", "10");
    page.fill("input[name=price]", "2.50");
    page.keyboard().press("Enter");
    page.waitForSelector("text=Kept");
    begin("i");
    type("Imkerei Tannhof", "", "2026-05-02", "", "", "", "", "");
    type("LISTED", "20");
    page.waitForCondition(() -> page.inputValue("[data-cell='rows.0.price']").equals("2.50"));
    post("50.00", "40.00");
    assertThat(pdf(here())).contains("Rechnung").contains("Menge").contains("2.50");
    String statement = card + "/statement?from=2026-05-01&to=2026-05-31";
    assertThat(PdfText.at(page, statement)).contains("Kontoauszug").contains("50.00");
    page.navigate(desk.address + "/sell/reminders");
    page.focus("text=Draft a reminder for each who is late");
    page.keyboard().press("Enter");
    page.waitForSelector("text=look at them and send them");
    page.focus("a:has-text('Imkerei Tannhof')");
    page.keyboard().press("Enter");
    page.waitForURL("**/sell/reminder/*");
    assertThat(PdfText.at(page, here() + "/pdf")).contains("Zahlungserinnerung", "50.00");
    begin("i");
    type("Imkerei Tannhof", "", "2026-05-03", "", "", "", "", "");
    type("LISTED", "20", "3.00", "");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("would owe 110.00; the limit is 100.00"));
    page.keyboard().press("Alt+y");
    post("60.00");
    page.navigate(desk.address + "/prove/tax?from=2026-05-01&to=2026-05-31");
    assertThat(page.textContent("main")).contains("in step");
  }
}
