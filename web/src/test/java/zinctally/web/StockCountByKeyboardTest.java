package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The shop is counted on a phone while goods are sold over its counter. */
class StockCountByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    for (String code : List.of("JAR", "WAX", "VEIL")) item(code, "FIFO", "NONE");
    item("EX", "FIFO", "SERIAL");
    receive("JAR", "2026-03-01", "20", "1.00");
    receive("WAX", "2026-03-01", "10", "2.00");
    receive("VEIL", "2026-03-01", "5", "4.00");
    receive("EX", "2026-03-01", "2", "50.00", "numbers", "A-1, A-2");
    desk.sql().sql("update item set gtin = '4006381333931' where code = 'WAX'").update();
    desk.sql().sql("update item set shelf = 'B2' where code in ('JAR', 'WAX')").update();
  }

  private static String draw(String scope, String value) {
    page.navigate(desk.address + "/handle/counts/new");
    page.selectOption("#scope", scope);
    page.fill("#value", value);
    page.fill("#date", "2026-04-01");
    page.fill("#worth", "5");
    page.keyboard().press("Control+Enter");
    page.waitForURL(Pattern.compile(".*/handle/counts/\\d+"));
    return page.url();
  }

  private static void scan(String what, String says) {
    page.focus("#what");
    page.keyboard().type(what);
    page.keyboard().press("Enter");
    page.waitForCondition(() -> last().contains(says));
    page.waitForCondition(
        () ->
            (Boolean)
                page.evaluate(
                    "document.activeElement.id === 'what' && (!document.activeElement.value"
                        + " || document.getSelection().toString() !== '')"));
  }

  private static String last() {
    return page.textContent("#last").replaceAll("\\s+", " ");
  }

  private static String line(String code) {
    return page.textContent("tr:has-text('" + code + "')").replaceAll("\\s+", " ").strip();
  }

  @Test
  void what_is_counted_beside_a_sale_is_closed_proved_and_posted() {
    page.setViewportSize(400, 800);
    draw("SHELF", "B");
    assertThat(page.textContent("main"))
        .contains("Shelf B", "JAR", "WAX")
        .doesNotContain("VEIL", "Book held");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    scan("4006381333931", "WAX Item WAX 1 counted");
    scan("no such thing", "Nothing has the code, barcode, name or number \"no such thing\".");
    scan("A-1", "EX Item EX, A-1 1 counted");
    scan("A-1", "A-1 of Item EX is counted already.");
    sell("2026-04-01", "JAR", "2");
    page.focus("[aria-label='How many of JAR Item JAR']");
    type("many");
    page.waitForSelector(".fault:has-text('is not a quantity')");
    page.keyboard().press("Control+A");
    type("17");
    page.waitForCondition(() -> line("JAR").contains("17"));
    page.waitForCondition(
        () ->
            page.evaluate("document.activeElement.getAttribute('aria-label')")
                .equals("How many of WAX Item WAX"));
    type("8");
    page.waitForCondition(() -> last().contains("WAX Item WAX 9 counted."));
    page.setViewportSize(1280, 800);
    page.click("text=What is apart");
    page.waitForURL("**/close");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    assertThat(page.textContent(".facts").replaceAll("\\s+", " ")).contains("apart2", "cost3.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/drafts/*");
    String number = post("18 → 17", "10 → 9", "Stock count differences");
    page.click("text=Amend");
    page.waitForURL("**/drafts/*");
    page.waitForCondition(
        () -> page.textContent("[data-row='0'] [data-shown=apart]").contains("1"));
    page.navigate(desk.address + "/handle/differences?filter=jar");
    assertThat(page.textContent("#rows"))
        .contains(number, "counted 17, expected 18")
        .doesNotContain("WAX");
    page.navigate(desk.address + "/handle/agreement");
    assertThat(page.textContent("#rows").replaceAll("\\s+", " ")).contains("Store 3 1 33.3");
    assertThat(worth("JAR")).isEqualTo(1700);
  }

  @Test
  void a_list_that_was_written_on_paper_is_taken_whole_or_not_at_all() throws Exception {
    String sheet = draw("ITEMS", "VEIL");
    page.fill("#list", "VEIL; many\nVOID\t3");
    page.click("text=Add the list");
    page.waitForSelector(".wrong");
    assertThat(page.textContent(".wrong"))
        .contains("Line 1: \"many\" is not a quantity", "Line 2: Nothing has the code");
    assertThat(page.inputValue("#list")).isEqualTo("VEIL; many\nVOID\t3");
    page.fill("#list", "VEIL; 2; left\nVEIL; 1; right");
    page.click("text=Add the list");
    page.waitForSelector("text=2 lines are added.");
    assertThat(line("VEIL")).contains("3", "count again");
    page.click("tr:has-text('VEIL') a");
    page.waitForURL("**/lines/*");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.click("text=It was wrong");
    page.waitForSelector("text=wrong, says owner");
    page.navigate(sheet + "/close");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=A second count is wanted of 1 line; count again");
    page.navigate(sheet + "?which=wanted");
    assertThat(page.textContent("main")).contains("VEIL");
    assertThat(PdfText.at(page, sheet + "/print")).contains("Store", "VEIL", "Item VEIL");
    page.navigate(sheet);
    page.onDialog(com.microsoft.playwright.Dialog::accept);
    page.click("text=Give it up");
    page.waitForSelector(".state:has-text('given up')");
    assertThat(page.querySelector("#scan")).isNull();
  }

  @Test
  void the_bookkeeper_says_what_becomes_of_what_nobody_counted() {
    String sheet = draw("ALL", "");
    page.fill("#scan [name=quantity]", "5");
    scan("VEIL", "VEIL Item VEIL 5 counted");
    Page second = desk.signedIn("bookkeeper", "a long enough word");
    second.navigate(sheet + "/close");
    second.keyboard().press("Control+Enter");
    second.waitForSelector("text=Not everything is counted: does the rest stay, or is there none?");
    second.navigate(sheet);
    second.close();
  }
}
