package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Dialog;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Two customers or items that are one, from their cards, by keyboard. */
class SameAsAnotherTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("COMB", "FIFO", "NONE");
    item("COMB-OLD", "FIFO", "NONE");
    receive("COMB", "2026-04-01", "9", "2.00");
    sell("2026-05-01", "COMB", "1");
    desk.sql().sql("insert into party (kind, name) values ('CUSTOMER', 'Fenwick Gdn')").update();
  }

  private static long id(String table, String column, String value) {
    return desk.sql()
        .sql("select id from " + table + " where " + column + " = ?")
        .param(value)
        .query(Long.class)
        .single();
  }

  private static void into(String typed) {
    page.fill("#into", typed);
    page.press("#into", "Enter");
  }

  /**
   * The application may not change what was posted, or who did what; erasing goes a way of its own.
   */
  @Test
  void what_is_kept_about_a_customer_is_handed_out_and_erased() {
    desk.sql()
        .sql(
            "insert into party (kind, name, email) values ('CUSTOMER', 'Tilda Marsh', 'tilda@mill.example')")
        .update();
    long tilda = id("party", "name", "Tilda Marsh");
    page.navigate(desk.address + "/setup/personal");
    page.fill("#years", "ten");
    page.press("#years", "Enter");
    page.waitForSelector("text=is no number of years");
    assertThat(page.inputValue("#years")).isEqualTo("ten");
    page.click("text=Tilda Marsh");
    page.waitForURL("**/personal");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    assertThat(page.request().get(page.url() + "/file").text()).contains("tilda@mill.example");
    page.onceDialog(Dialog::accept);
    page.click("text=Erase all");
    page.waitForSelector("text=Erased.");
    assertThat(page.textContent("h1")).contains("Erased " + tilda);
    assertThat(page.request().get(page.url() + "/file").text()).doesNotContain("ilda");
    page.navigate(desk.address + "/parties/" + id("party", "name", "Fenwick Garden") + "/personal");
    assertThat(page.textContent("main")).contains("still open (1)");
  }

  @Test
  void a_customer_is_made_one_with_another_once_it_was_shown_what_moves() {
    String card = desk.address + "/sell/customer/" + id("party", "name", "Fenwick Garden");
    page.navigate(card);
    page.focus("text=The same as another");
    page.keyboard().press("Enter");
    page.waitForURL("**/merge");
    into("Fenwick Gdns");
    page.waitForSelector("text=There is no customer called");
    into("fenwick gdn");
    page.waitForSelector("h2:has-text('What moves')");
    page.waitForLoadState(); // keys are heard once its scripts are there
    assertThat(page.textContent("main")).contains("9.00");
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('Fenwick Garden is Fenwick Gdn from now on')");
    assertThat(page.textContent("main")).contains("Fenwick Gdn").contains("9.00");
    page.navigate(card);
    assertThat(page.textContent("main h1")).contains("Fenwick Gdn");
    assertThat(page.textContent("body")).contains("AlsoFenwick Garden");
    Page keeper = desk.signedIn("bookkeeper", "a long enough word");
    assertThat(keeper.navigate(card).status()).isEqualTo(200);
    keeper.context().close();
  }

  @Test
  void an_item_leads_to_another_and_its_code_is_taken_in_papers() {
    page.navigate(desk.address + "/goods/item/" + id("item", "code", "COMB") + "/merge");
    into("COMB-OLD");
    page.waitForSelector("text=of COMB are on hand. Adjust them down");
    page.navigate(desk.address + "/goods/item/" + id("item", "code", "COMB-OLD") + "/merge");
    into("COMB");
    page.waitForSelector("button:has-text('Let it lead to COMB')");
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('COMB-OLD leads to COMB')");
    assertThat(page.textContent("main")).contains("Also:").contains("COMB-OLD");
    begin("b");
    page.keyboard().type("Orrin Joinery");
    page.keyboard().press("Enter");
    page.fill("[data-cell='rows.0.item']", "COMB-OLD");
    page.waitForCondition(
        () -> page.textContent("[data-row='0'] [data-shown=name]").equals("Item COMB"));
  }
}
