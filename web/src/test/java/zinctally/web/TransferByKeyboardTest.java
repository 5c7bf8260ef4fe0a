package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Goods go from one place to another, without the mouse. */
class TransferByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void a_van() {
    desk.sql().sql("insert into place (name) values ('Market van')").update();
    item("WAX", "FIFO", "NONE");
    item("JAR", "FIFO", "NONE");
  }

  @Test
  void a_van_is_loaded_and_its_note_is_handed_along() throws Exception {
    receive("WAX", "2026-03-01", "10", "2.00");
    receive("JAR", "2026-03-01", "5", "1.00");
    begin("v");
    type("Market", "for the market");
    type("WAX", "4", "");
    type("JAR", "9", "");
    page.waitForCondition(() -> page.textContent("#proof").contains("Store has 5 of Item JAR"));
    page.focus("[data-cell='rows.1.quantity']");
    page.keyboard().press("Control+A");
    type("5");
    String number = post("10 → 6", "0 → 4", "5 → 0");
    assertThat(page.textContent("main")).contains("WAX, into Market van");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.focus("text=Take them back");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("#place") + " " + page.inputValue("#into"))
        .isEqualTo("Market van Store");
    post("4 → 0", "6 → 10", "5 → 0", "0 → 5");
    page.navigate(desk.address + "/handle/transfers?filter=wax");
    assertThat(page.textContent("#rows")).contains(number, "Store", "Market van");
    assertThat(worth("WAX")).isEqualTo(2000);
    long id =
        desk.sql()
            .sql("select id from paper where number = ?")
            .param(number)
            .query(Long.class)
            .single();
    assertThat(PdfText.at(page, desk.address + "/papers/" + id + "/pdf"))
        .contains("Transfer note", number, "Market van", "for the market");
  }

  @Test
  void what_a_place_is_short_of_is_drafted_from_the_list() {
    item("HONEY", "FIFO", "NONE");
    receive("HONEY", "2026-03-01", "8", "2.00");
    String item =
        desk.address
            + "/goods/item/"
            + desk.sql().sql("select id from item where code = 'HONEY'").query(Long.class).single();
    page.navigate(item);
    page.click("text=At each place");
    page.waitForURL("**/places");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.fill("[aria-label='At least, Market van']", "many");
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".wrong:has-text('is not a quantity of this item')");
    assertThat(page.inputValue("[aria-label='At least, Market van']")).isEqualTo("many");
    page.fill("[aria-label='At least, Market van']", "2");
    page.fill("[aria-label='Filled up to, Market van']", "3");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=Kept.");
    page.navigate(desk.address + "/handle/short?filter=honey");
    assertThat(page.textContent("#rows")).contains("Market van");
    page.click("text=Draft transfers");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("3");
    post("8 → 5", "0 → 3");
    page.navigate(desk.address + "/handle/short");
    assertThat(page.textContent("main")).contains("No place is short");
  }
}
