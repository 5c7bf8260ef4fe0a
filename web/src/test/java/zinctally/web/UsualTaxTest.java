package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import java.time.LocalDate;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.store.sell.TaxStore;

/** What a line bears that nobody has typed a rate on: the party's, the item's, the account's. */
class UsualTaxTest extends OwnBookTest {
  @BeforeAll
  static void rates() {
    item("SMOKER", "FIFO", "NONE");
    item("BOOK", "FIFO", "NONE");
    desk.get(TaxStore.class).ofItem(id("BOOK"), "R");
    page.navigate(desk.address + "/setup");
    page.selectOption("#usualTax", "S");
    page.click("button:has-text('Keep')");
    page.waitForSelector(".told");
    page.navigate(desk.address + "/setup/accounts");
    page.selectOption("[aria-label='Usual tax of Rent']", "Z");
    page.locator("tr")
        .filter(
            new Locator.FilterOptions().setHas(page.locator("[aria-label='Usual tax of Rent']")))
        .locator("button")
        .click();
    page.waitForSelector(".told");
    assertThat(page.inputValue("[aria-label='Usual tax of Rent']")).isEqualTo("Z");
  }

  private static long id(String code) {
    return desk.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private static void line(int row, String item, String tax) {
    page.focus("[data-cell='rows." + row + ".item']");
    page.keyboard().type(item);
    page.keyboard().press("Tab");
    page.waitForCondition(() -> page.inputValue("[data-cell='rows." + row + ".tax']").equals(tax));
  }

  /**
   * 12.00 of books at 5 %, 30.00 of smokers and 10.00 of carriage at 20 %, 500.00 of rent: 8.60.
   */
  @Test
  void a_bill_bears_what_its_items_and_accounts_say_and_the_report_has_its_whole_base() {
    begin("b");
    type("Orrin Joinery", "T-1", "2026-05-02");
    line(0, "BOOK", "R");
    line(1, "SMOKER", "S");
    line(2, "6200 Carriage, by van", "S");
    line(3, "6000", "Z");
    String[][] cells = {{"4", "3.00"}, {"3", "10.00"}, {"1", "10.00"}, {"1", "500.00"}};
    for (int row = 0; row < cells.length; row++) {
      page.fill("[data-cell='rows." + row + ".quantity']", cells[row][0]);
      page.fill("[data-cell='rows." + row + ".price']", cells[row][1]);
    }
    post("560.60");
    page.navigate(desk.address + "/prove/tax?from=1.5.2026&to=31/5/2026");
    assertThat(page.textContent("main")).contains("12.00").contains("40.00").contains("500.00");
    var tied = desk.get(TaxStore.class).tieOut(LocalDate.of(2026, 5, 1), LocalDate.of(2026, 5, 31));
    assertThat(tied.purchases()).isEqualTo(860);
    assertThat(tied.apart()).isZero();
  }

  @Test
  void a_supplier_with_a_rate_of_its_own_bears_it_whatever_the_item() {
    page.navigate(desk.address + "/buy/supplier/new");
    page.fill("#name", "Hollin Print, abroad");
    page.selectOption("#tax", page.getAttribute("#tax option:has-text('Zero')", "value"));
    page.keyboard().press("Control+Enter");
    page.waitForURL(url -> url.matches(".*/buy/supplier/\\d+"));
    begin("b");
    type("Hollin Print, abroad", "T-2", "2026-05-03");
    line(0, "BOOK", "Z");
  }

  @Test
  void what_is_made_on_the_spot_is_sold_with_the_rate_of_the_book_and_a_cleared_cell_stays_so() {
    begin("i");
    page.keyboard().type("Fenwick Garden");
    page.keyboard().press("Enter");
    line(0, "Hive paint, green", "S");
    page.focus("[data-cell='rows.0.tax']");
    page.keyboard().press("Control+A");
    page.keyboard().press("Delete");
    page.fill("[data-cell='rows.0.quantity']", "2");
    page.fill("[data-cell='rows.0.price']", "7.00");
    page.waitForCondition(() -> page.textContent("#proof").contains("no item yet"));
    page.keyboard().press("Alt+y");
    page.waitForCondition(() -> page.textContent("#proof").contains("balances"));
    assertThat(page.textContent("#proof")).contains("14.00");
    assertThat(page.inputValue("[data-cell='rows.0.tax']")).isEmpty();
    page.reload();
    page.waitForCondition(() -> page.textContent("#proof").contains("balances"));
    page.fill("[data-cell='rows.0.quantity']", "3");
    page.waitForCondition(() -> page.textContent("#proof").contains("21.00"));
    assertThat(page.inputValue("[data-cell='rows.0.tax']")).isEmpty();
  }

  @Test
  void an_amended_paper_is_offered_nothing_where_it_stood_empty() {
    item("HAT", "FIFO", "NONE");
    receive("HAT", "2026-04-01", "9", "4.00");
    sell("2026-05-04", "HAT", "2");
    long sale =
        desk.sql()
            .sql("select max(id) from paper where kind = 'INVOICE'")
            .query(Long.class)
            .single();
    page.navigate(desk.address + "/papers/" + sale);
    page.click("button:has-text('Amend')");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.quantity']", "3");
    line(1, "BOOK", "R");
    page.fill("[data-cell='rows.1.item']", "");
    page.fill("[data-cell='rows.1.tax']", "");
    page.waitForCondition(
        () ->
            page.textContent("#proof").contains("balances")
                && page.textContent("#proof").contains("27.00"));
    assertThat(page.inputValue("[data-cell='rows.0.tax']")).isEmpty();
    assertThat(page.textContent("#proof")).doesNotContain("Line 1, tax");
    page.navigate(desk.address + "/papers/" + sale);
    page.click("button:has-text('Write another like it')");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.quantity']", "4");
    page.waitForCondition(
        () ->
            page.textContent("#proof").contains("balances")
                && page.textContent("#proof").contains("36.00"));
    assertThat(page.inputValue("[data-cell='rows.0.tax']")).isEmpty();
  }
}
