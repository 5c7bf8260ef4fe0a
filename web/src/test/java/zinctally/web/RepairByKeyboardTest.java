package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Goods are damaged, go out to be mended and come back, without the mouse. */
class RepairByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("EX", "AVERAGE", "NONE");
    item("JAR", "FIFO", "NONE");
    item("TANK", "FIFO", "NONE");
  }

  @Test
  void an_extractor_goes_out_is_overdue_and_comes_back_with_its_bill() throws Exception {
    receive("EX", "2026-03-01", "2", "300.00");
    begin("x");
    page.fill("#date", "2026-03-05");
    page.focus("#repairer");
    type("Ferris Motors", "", "2026-03-20", "60", "");
    type("EX", "1", "hums");
    String out = post("2 → 1", "0 → 1", "No cost changes");
    assertThat(page.textContent("main")).contains("hums", "into Ferris Motors", "Expected cost");
    assertThat(PdfText.at(page, page.url().replaceAll("\\?.*", "") + "/pdf"))
        .contains("Repair note", out, "Ferris Motors", "Back by", "Item EX", "hums");
    page.navigate(desk.address + "/");
    assertThat(page.textContent("main")).contains("1 repair is overdue");
    page.click("text=See to them >> nth=0");
    page.waitForURL("**/handle/repairs");
    assertThat(page.textContent("#rows")).contains(out, "Ferris Motors", "hums");
    page.navigate(desk.address + "/goods/shelf");
    assertThat(page.textContent("main")).contains("Ferris Motors");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.navigate(desk.address + "/handle/repairs");
    page.click("text=" + out);
    page.click("text=They are back");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.charge']", "40");
    page.keyboard().press("Tab");
    page.waitForSelector("text=Mending is an expense here");
    page.selectOption("#cost", "goods");
    page.focus("#account");
    type("6300");
    post("1 → 0", "1 → 2", "Stock on hand", "40.00");
    assertThat(page.textContent("#proof, main")).doesNotContain("No cost changes");
    assertThat(worth("EX")).isEqualTo(64000);
    page.click("text=Charges");
    page.waitForURL("**/drafts/*");
    page.fill("#supplier", "Ferris Motors");
    page.fill("#what", "Motor");
    page.fill("#amount", "22");
    post("22.00", "Trade payables");
    assertThat(worth("EX")).isEqualTo(66200);
    page.navigate(desk.address + "/goods/item/" + id("EX") + "/why");
    assertThat(page.textContent("main")).contains("RB-", "CH-", "40.00", "22.00");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.navigate(desk.address + "/goods/item/" + id("EX") + "/time");
    page.waitForSelector("svg.time");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
  }

  @Test
  void a_customers_own_goods_are_taken_in_with_a_receipt_and_given_back() throws Exception {
    page.navigate(desk.address + "/handle/customers-goods");
    page.click("text=New taken in for repair");
    page.waitForURL("**/drafts/*");
    page.fill("#customer", "Fenwick Garden");
    page.fill("#back_by", "+14");
    page.focus("[data-cell='rows.0.item']");
    type("EX", "1", "no power");
    String in = post();
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    assertThat(PdfText.at(page, page.url().replaceAll("\\?.*", "") + "/pdf"))
        .contains("Taken in for repair", in, "Fenwick Garden", "Item EX", "no power");
    page.click("text=Invoice the work");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("#customer")).isEqualTo("Fenwick Garden");
    page.navigate(desk.address + "/handle/customers-goods?filter=fenwick");
    assertThat(page.textContent("#rows")).contains(in, "no power");
    page.click("text=" + in);
    page.click("text=Give them back");
    page.waitForURL("**/drafts/*");
    String back = post();
    page.navigate(desk.address + "/handle/taken-in");
    assertThat(page.textContent("#rows")).contains(in, back);
  }

  @Test
  void broken_jars_are_told_apart_on_the_items_card() {
    receive("JAR", "2026-03-01", "10", "1.00");
    begin("v");
    page.selectOption("#standing", "Damaged");
    page.focus("[data-cell='rows.0.item']");
    type("JAR", "3", "fell");
    post("10 → 7", "0 → 3", "Store, damaged");
    page.navigate(desk.address + "/goods/item/" + id("JAR"));
    assertThat(page.textContent(".facts").replaceAll("\\s+", " "))
        .contains("On hand10", "Free7", "Kept apart3");
    page.click("text=at 2 places");
    page.waitForURL("**/where");
    assertThat(page.textContent("main")).contains("Damaged", "ours", "no");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.navigate(desk.address + "/setup/standings");
    page.fill("[aria-label='Name of a new one']", "Seconds");
    page.check("[aria-label='a new one may be sold']");
    page.keyboard().press("Enter");
    page.waitForSelector("text=Kept.");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.check("[aria-label='Damaged counts as free']");
    page.keyboard().press("Enter");
    page.waitForSelector("text=Damaged cannot count as free while it may not be sold.");
  }

  @Test
  void lines_come_from_a_file_below_what_is_typed_and_what_is_none_is_said() {
    receive("TANK", "2026-03-01", "9", "5.00");
    begin("a");
    page.focus("[data-cell='rows.0.item']");
    type("TANK", "-1", "Breakage");
    page.setInputFiles(
        "[data-rows-file]",
        file("Item code;Qty;Reason;Colour\nTANK;-2;Breakage;green\nTANK;-3;Breakage;blue\n"));
    page.waitForSelector("text=Left out: Colour.");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("-1");
    assertThat(page.inputValue("[data-cell='rows.2.quantity']")).isEqualTo("-3");
    page.setInputFiles("[data-rows-file]", file("Colour;Size\ngreen;3\n"));
    page.waitForSelector("text=none of them is Item");
    assertThat(page.inputValue("[data-cell='rows.3.item']")).isEmpty();
    post("9 → 3");
  }

  private static FilePayload file(String text) {
    return new FilePayload("lines.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8));
  }

  private static long id(String code) {
    return desk.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }
}
