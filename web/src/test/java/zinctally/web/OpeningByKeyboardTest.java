package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** From an empty book to an opening that agrees with the old books, without the mouse. */
class OpeningByKeyboardTest {
  @Test
  void the_demo_s_valuation_report_is_taken_over_and_opening_clearing_ends_at_zero()
      throws IOException {
    try (Desk desk = new Desk("own")) {
      Page page = desk.window();
      page.navigate(desk.address + "/");
      assertThat(page.url()).endsWith("/first");
      type(page, "book", "Wickmere Bee Yard");
      type(page, "currency", "EUR");
      type(page, "cutOver", "2025-09-01");
      type(page, "name", "Ida Wickmere");
      type(page, "login", "ida");
      type(page, "password", "short");
      page.keyboard().press("Enter");
      page.waitForSelector("text=At least ten characters");
      assertThat(page.inputValue("#name")).isEqualTo("Ida Wickmere");
      type(page, "password", "larch and clover");
      page.keyboard().press("Enter");
      page.waitForURL("**/sign-in?made");
      page.fill("#username", "ida");
      page.fill("#password", "larch and clover");
      page.keyboard().press("Enter");
      page.waitForURL(desk.address + "/");

      for (String place : List.of("Barn store", "Shop")) {
        page.navigate(desk.address + "/setup/places");
        page.getByLabel("Name of a new one").focus();
        page.keyboard().type(place);
        page.keyboard().press("Enter");
        page.waitForSelector(".told");
      }

      page.keyboard().press("Escape");
      page.keyboard().press("/");
      page.keyboard().type("opening");
      page.waitForSelector("#found a[aria-selected=true], #found button[aria-selected=true]");
      page.getByRole(AriaRole.OPTION)
          .filter(new com.microsoft.playwright.Locator.FilterOptions().setHasText("set up"))
          .waitFor();
      while (!page.textContent("#found [aria-selected=true]").contains("set up"))
        page.keyboard().press("ArrowDown");
      page.keyboard().press("Enter");
      page.waitForURL("**/opening");
      String report =
          Files.readString(
              Path.of("../demo/src/main/resources/demo/opening-stock.csv"), StandardCharsets.UTF_8);
      page.focus("#rows");
      page.keyboard().insertText(report);
      page.keyboard().press("Tab");
      page.keyboard().press("Enter");
      page.waitForURL("**/opening/stock/*");
      assertThat(page.textContent("#proof")).contains("balances").contains("16,564.52");
      page.keyboard().press("Control+Enter");
      page.waitForURL("**/opening");
      assertThat(page.textContent(".facts")).contains("16,564.52");
      assertThat(page.textContent("#clearing")).isEqualTo("\u221216,564.52");

      page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Opening balances"))
          .focus();
      page.keyboard().press("Enter");
      page.waitForURL("**/drafts/*");
      for (String cell :
          List.of("1000", "9420.55", "", "", "1400", "100", "", "", "3000", "", "25985.07")) {
        page.keyboard().type(cell);
        page.keyboard().press("Enter");
      }
      page.waitForSelector("#proof .faults");
      page.waitForCondition(
          () ->
              page.textContent("#proof")
                  .contains("it builds up from the items: enter Opening stock"));
      page.locator("[data-cell='rows.1.account']").focus();
      page.keyboard().press("Control+A");
      page.keyboard().press("Delete");
      page.keyboard().press("Enter");
      page.keyboard().press("Control+A");
      page.keyboard().press("Delete");
      page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
      page.keyboard().press("Control+Enter");
      page.waitForURL("**/papers/*");
      page.navigate(desk.address + "/opening");
      assertThat(page.textContent("#clearing")).isEqualTo("0.00");
      assertThat(page.textContent("#balance")).contains("16,564.52").contains("in step");
    }
  }

  private static void type(Page page, String field, String text) {
    page.focus("#" + field);
    page.keyboard().press("Control+A");
    page.keyboard().type(text);
  }
}
