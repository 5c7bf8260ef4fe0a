package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A quarter's tax is looked at box by box, declared and owed to the office, without the mouse. */
class TaxReturnByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void a_quarter_and_a_day() {
    item("SMOKER", "FIFO", "NONE");
    receive("SMOKER", "2026-01-10", "100", "4.00");
    sell("2026-02-10", "SMOKER", "20", "tax", "S");
    sell("2026-04-02", "SMOKER", "5", "tax", "R");
  }

  private static void accessible() {
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
  }

  private static void set(String label, String value) {
    page.fill("[aria-label='" + label + "']", value);
  }

  @Test
  void tax_is_declared_in_boxes_of_ones_own_and_a_late_paper_with_the_next() {
    page.navigate(desk.address + "/setup/tax-boxes");
    set("Rates or boxes of box 1", "S, Q");
    page.keyboard().press("Enter");
    page.waitForSelector(".wrong");
    assertThat(page.textContent(".wrong")).contains("There is no tax rate \"Q\"");
    set("Rates or boxes of box 1", "S");
    page.keyboard().press("Enter");
    page.waitForSelector(".told");
    page.press("[aria-label='Take away box 2']", "Enter");
    page.waitForSelector(".wrong");
    assertThat(page.textContent(".wrong")).contains("No box 2 stands above 3.");
    accessible();

    page.navigate(desk.address + "/prove/tax/return?from=2026-01-01&to=2026-03-31");
    assertThat(page.textContent("main table")).contains("36.00", "180.00");
    accessible();
    page.focus("tr:has-text('Tax on sales') a");
    page.keyboard().press("Enter");
    page.waitForURL("**/papers?box=1*");
    assertThat(page.textContent("#rows")).contains("Fenwick Garden", "36.00");
    page.goBack();
    page.press("text=Write the return", "Enter");
    page.waitForURL("**/drafts/*");
    page.fill("#supplier", "Vale Revenue Office");
    page.fill("#date", "2026-04-20");
    page.fill("#pay", "30");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("By the book 36.00 is to be paid"));
    accessible();
    page.fill("#pay", "36");
    post("36.00", "Sales tax", "Trade payables");
    assertThat(page.textContent("main")).contains("1 Tax on sales", "2026-01-01 to 2026-03-31");
    accessible();
    page.press("text=The papers it declares", "Enter");
    page.waitForURL("**/papers?of=*");
    assertThat(page.textContent("#rows")).contains("Fenwick Garden", "36.00");

    sell("2026-03-30", "SMOKER", "10", "tax", "S");
    page.navigate(desk.address + "/prove/tax/return?from=2026-04-01&to=2026-06-30");
    assertThat(page.textContent("main table")).contains("18.00", "In no box", "2.25", "20.25");
    assertThat(page.textContent(".side-part")).contains("18.00 is of days");
    accessible();
    page.navigate(desk.address + "/");
    assertThat(page.textContent("main"))
        .contains("Tax up to 2026-06-30 waits to be declared", "20.25");
    page.navigate(desk.address + "/prove/tax/returns");
    assertThat(page.textContent("#rows"))
        .contains("Vale Revenue Office", "2026-01-01", "2026-03-31", "36.00");
  }
}
