package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Goods of a keeper are sold and settled; ours go to a stall; what is sold stays here. */
class ConsigningByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("HNY", "FIFO", "NONE");
    item("CAN", "AVERAGE", "NONE");
    item("STV", "FIFO", "NONE");
  }

  private static void from(String address, String button) {
    page.navigate(desk.address + address);
    page.click("text=" + button);
    page.waitForURL("**/drafts/*");
  }

  private static void accessible() {
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
  }

  private static void agree(String who, String item, String each) {
    from("/buy/agreements", "New consignment agreement");
    page.fill("#supplier", who);
    page.fill("#date", "2026-03-01");
    page.focus("[data-cell='rows.0.item']");
    type(item, each);
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
  }

  @Test
  void of_many_pieces_all_have_labels_in_more_than_one_file() throws Exception {
    agree("Bo Comb", "STV", "20");
    begin("g");
    page.fill("#supplier", "Bo Comb");
    page.fill("#date", "2026-03-02");
    page.focus("[data-cell='rows.0.item']");
    type("STV", "601");
    post("No cost changes");
    String more = page.getAttribute("text=Labels 601 to 601", "href");
    assertThat(page.textContent("main")).contains("Labels 1 to 600");
    assertThat(PdfText.at(page, desk.address + more)).containsOnlyOnce("Item STV");
  }

  /** 24 jars at 4.50; 9 are sold at two prices, one comes back broken, 3 go home, 40.50 is paid. */
  @Test
  void a_keeper_brings_jars_some_are_sold_one_breaks_some_go_home_and_he_is_paid()
      throws Exception {
    begin("g");
    page.fill("#supplier", "Hana Keeper");
    page.focus("[data-cell='rows.0.item']");
    type("HNY", "24");
    page.waitForSelector("text=Nothing is agreed with \"Hana Keeper\"; write an agreement first.");
    agree("Hana Keeper", "HNY", "4.50");
    assertThat(page.textContent("main")).contains("4.50 each");
    begin("g");
    page.fill("#supplier", "Hana Keeper");
    page.fill("#date", "2026-03-02");
    page.focus("[data-cell='rows.0.item']");
    type("HNY", "24", "", "set honey");
    page.waitForSelector("text=4.50 each");
    String came = post("No cost changes");
    accessible();
    assertThat(PdfText.at(page, page.url().replaceAll("\\?.*", "") + "/pdf"))
        .contains("Received on consignment", came, "Hana Keeper", "Item HNY", "24");
    assertThat(PdfText.at(page, page.url().replaceAll("\\?.*", "") + "/labels"))
        .contains("Item HNY");
    begin("i");
    page.fill("#customer", "Fenwick Garden");
    page.fill("#date", "2026-03-05");
    page.focus("[data-cell='rows.0.item']");
    type("HNY", "5", "6.80");
    page.fill("[data-cell='rows.1.item']", "HNY");
    page.fill("[data-cell='rows.1.quantity']", "4");
    page.fill("[data-cell='rows.1.price']", "6.00");
    page.keyboard().press("Tab");
    page.waitForSelector("text=5 of Item HNY are Hana Keeper's; owed for it: 22.50 (4.50 each)");
    String sale = post("Owed for consigned goods", "22.50", "18.00");
    page.click("[data-back]");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.quantity']", "1");
    page.fill("[data-cell='rows.1.quantity']", "0");
    page.fill("[data-cell='rows.0.goods']", "Breakage");
    page.keyboard().press("Tab");
    post("balances");
    from("/buy/consigned", "New consignment back");
    page.fill("#supplier", "Hana Keeper");
    page.fill("#date", "2026-03-20");
    page.focus("[data-cell='rows.0.item']");
    type("HNY", "3");
    post("No cost changes");
    page.navigate(desk.address + "/buy/consigned");
    assertThat(page.textContent("#rows").replaceAll("\\s+", " ")).contains("24 9 3 0 12 40.50");
    accessible();
    page.click("#rows a >> text=40.50");
    page.waitForSelector("h1 >> text=Hana Keeper");
    page.navigate(desk.address + "/buy/consigned");
    page.click("text=Settle >> nth=-1");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("[data-cell='rows.0.of']")).isEqualTo(sale);
    page.waitForSelector("text=22.50");
    accessible();
    String settled = post("Trade payables", "40.50");
    accessible();
    assertThat(PdfText.at(page, page.url().replaceAll("\\?.*", "") + "/pdf"))
        .contains("Consignment settlement", settled, "Sold for", "34.00", "24.00", "40.50");
    desk.sql().sql("update party set language = 'de' where name = 'Hana Keeper'").update();
    assertThat(PdfText.at(page, page.url().replaceAll("\\?.*", "") + "/pdf"))
        .contains("Kommissionsabrechnung", settled, "Verkauft für", "40.50");
    page.click("text=Pay");
    page.waitForURL("**/drafts/*");
    post("40.50");
    page.navigate(desk.address + "/prove/consigned");
    assertThat(page.textContent("main")).contains("in step", "All that was sold");
    page.navigate(desk.address + "/buy/supplier/" + id("SUPPLIER", "Hana Keeper"));
    assertThat(page.textContent("main").replaceAll("\\s+", " "))
        .contains("Here on consignment", "24 9 3 0 12 0.00");
    accessible();
    page.navigate(desk.address + "/goods/item/" + itemId("HNY"));
    assertThat(page.textContent("main").replaceAll("\\s+", " "))
        .contains("Of others12", "Of Hana Keeper 12 here", "12 left");
    accessible();
  }

  @Test
  void candles_at_a_stall_stay_ours_and_are_invoiced_from_there() {
    receive("CAN", "2026-03-01", "20", "2.00");
    from("/sell/at-customers", "New consignment out");
    page.fill("#customer", "Tallow Stall");
    page.fill("#date", "2026-03-05");
    page.focus("[data-cell='rows.0.item']");
    type("CAN", "12");
    post("20 → 8", "0 → 12", "No cost changes");
    String out = page.url();
    page.click("text=Invoice what they sold");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("#place")).isEqualTo("At Tallow Stall");
    page.fill("#date", "2026-03-20");
    page.focus("[data-cell='rows.0.item']");
    type("CAN", "7", "4.60");
    post("14.00");
    page.navigate(desk.address + "/sell/at-customers");
    assertThat(page.textContent("#rows").replaceAll("\\s+", " ")).contains("12 7 0 0 5");
    accessible();
    page.navigate(desk.address + "/sell/customer/" + id("CUSTOMER", "Tallow Stall"));
    assertThat(page.textContent("main")).contains("At Tallow Stall");
    accessible();
    assertThat(worth("CAN")).isEqualTo(2600);
    page.navigate(out);
    page.click("text=Invoice what they sold");
    page.waitForURL("**/drafts/*");
    page.fill("#date", "2026-03-21");
    page.focus("[data-cell='rows.0.item']");
    type("CAN", "5", "4.60");
    post("10.00");
    page.navigate(out);
    assertThat(page.textContent("main"))
        .contains("Tallow Stall")
        .doesNotContain("Invoice what they sold", "Some come back");
  }

  @Test
  void a_stove_is_sold_and_stays_and_is_handed_over_in_parts() {
    receive("STV", "2026-03-01", "4", "30.00");
    begin("i");
    page.fill("#customer", "Hollow Oak");
    page.fill("#date", "2026-03-05");
    page.selectOption("#goods", "stay");
    page.focus("[data-cell='rows.0.item']");
    type("STV", "3", "50");
    post("4 → 1", "0 → 3", "Store, of Hollow Oak");
    page.navigate(desk.address + "/sell/kept");
    assertThat(page.textContent("#rows")).contains("Hollow Oak", "Item STV");
    accessible();
    page.click("#rows a >> text=INV");
    page.click("text=Hand them over");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.quantity']", "2");
    page.keyboard().press("Tab");
    post("No cost changes", "3 → 1");
    page.navigate(desk.address + "/sell/kept");
    assertThat(page.textContent("#rows").replaceAll("\\s+", " ")).contains("3 1");
  }

  private static long id(String kind, String name) {
    return desk.sql()
        .sql("select id from party where kind = ? and name = ?")
        .params(kind, name)
        .query(Long.class)
        .single();
  }

  private static long itemId(String code) {
    return desk.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }
}
