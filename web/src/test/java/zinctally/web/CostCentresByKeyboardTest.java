package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import org.junit.jupiter.api.Test;

/** Cost centres are made, stand on lines of papers, and divide the profit, without the mouse. */
class CostCentresByKeyboardTest extends OwnBookTest {
  private static void accessible() {
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
  }

  private static void centre(String name, String under) {
    page.fill("[aria-label='Name of a new one']", name);
    page.selectOption("[aria-label='What a new one stands under']", under);
    page.press("[aria-label='Name of a new one']", "Enter");
    page.waitForSelector(".told");
  }

  @Test
  void what_two_centres_earn_stands_side_by_side_and_opens_down_to_its_lines() {
    item("SMOKER", "FIFO", "NONE");
    receive("SMOKER", "2026-01-10", "100", "4.00");
    begin("i");
    assertThat(page.querySelector("#centre")).isNull();
    page.navigate(desk.address + "/prove/profit");
    assertThat(page.querySelector("[name=centre]")).isNull();

    page.navigate(desk.address + "/setup/centres");
    centre("Shops", "0");
    page.fill("[aria-label='Name of a new one']", "shops");
    page.press("[aria-label='Name of a new one']", "Enter");
    page.waitForSelector(".wrong");
    assertThat(page.textContent(".wrong")).contains("There is a cost centre called shops already");
    String shops = page.getAttribute("option:has-text('Shops')", "value");
    centre("Wickmere", shops);
    centre("Workshop", "0");
    page.selectOption("[aria-label='What Shops stands under']", "Wickmere");
    page.press("[aria-label='Name of Shops']", "Enter");
    page.waitForSelector(".wrong");
    assertThat(page.textContent(".wrong")).contains("Shops cannot stand under itself.");
    page.selectOption("[aria-label='Cost centre of Store']", "Wickmere");
    page.press("[aria-label='Cost centre of Store'] >> xpath=ancestor::form >> button", "Enter");
    page.waitForSelector(".told");
    accessible();

    begin("i");
    type("Fenwick Garden");
    page.fill("[data-cell='rows.0.item']", "SMOKER");
    page.fill("[data-cell='rows.0.quantity']", "2");
    page.fill("[data-cell='rows.0.price']", "10.00");
    page.fill("[data-cell='rows.1.item']", "SMOKER");
    page.fill("[data-cell='rows.1.quantity']", "1");
    page.fill("[data-cell='rows.1.price']", "30.00");
    page.fill("[data-cell='rows.1.centre']", "Work");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("There is no cost centre \"Work\""));
    page.waitForCondition(
        () -> "Wickmere".equals(page.getAttribute("[data-cell='rows.0.centre']", "placeholder")));
    accessible();
    page.fill("[data-cell='rows.1.centre']", "Workshop");
    post("50.00");

    page.navigate(desk.address + "/prove/profit?beside=CENTRES");
    String profit = page.textContent("tr:has-text('Profit') >> nth=-1").replaceAll("\\s+", " ");
    assertThat(page.textContent("thead")).contains("Shops", "Workshop", "No cost centre", "In all");
    assertThat(profit).contains("12.00 26.00 0.00 38.00");
    accessible();
    page.press("tr:has-text('Sales') >> nth=0 >> a:has-text('30.00')", "Enter");
    page.waitForURL("**/prove/account/*");
    assertThat(page.textContent("h1")).contains("borne by Workshop");
    assertThat(page.textContent("#rows")).contains("30.00").doesNotContain("20.00");
    page.navigate(desk.address + "/prove/profit?centre=" + shops);
    assertThat(page.textContent(".tools")).contains("borne by Shops");
    assertThat(page.textContent("tr:has-text('Profit') >> nth=-1")).contains("12.00");
    page.navigate(
        desk.address + "/ask/build?about=journal&see.1=centre&see.2=amount&by.1=centre&summary=on");
    assertThat(page.textContent("#rows")).contains("Wickmere", "Workshop");
  }
}
