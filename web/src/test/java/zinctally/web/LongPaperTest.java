package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;

/** Papers of more lines than a page bears. */
class LongPaperTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("JAR", "FIFO", "NONE");
  }

  private static String open(String theirNumber, int lines) {
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < lines; i++)
      rows.add(Map.of("item", "JAR", "quantity", "1", "price", "0.10"));
    rows.set(lines - 20, Map.of("item", "JAR", "quantity", "many", "price", "0.10"));
    long draft =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.BILL,
                    Map.of(
                        "date", "2026-05-02",
                        "supplier", "Orrin Joinery",
                        "their_number", theirNumber,
                        "place", "Store"),
                    rows),
                "owner");
    page.navigate(desk.address + "/drafts/" + draft);
    return desk.address + "/drafts/" + draft;
  }

  private static int shown() {
    return page.locator("table.lines tbody tr").count();
  }

  /** 448 at 0.10, one at 2.00 and one at 0.30: 47.10. */
  @Test
  void a_long_bill_is_typed_part_by_part_and_posted_whole() {
    open("L-1", 450);
    assertThat(shown()).isEqualTo(200);
    page.click("#proof button:has-text('Line 431, quantity')");
    page.waitForURL("**at=430");
    assertThat(shown()).isEqualTo(56);
    page.waitForSelector("[data-fault='rows.430.quantity']:visible");
    page.fill("[data-cell='rows.430.quantity']", "3");
    page.keyboard().press("Alt+PageUp");
    page.waitForURL("**at=200");
    assertThat(page.inputValue("[data-cell='rows.399.item']")).isEqualTo("JAR");
    page.fill("[data-cell='rows.399.price']", "2.00");
    post("47.10");
    assertThat(worth("JAR")).isEqualTo(4710);
    assertThat(page.locator("main table").first().locator("tbody tr").count())
        .isGreaterThanOrEqualTo(450);
  }

  @Test
  void five_hundred_lines_from_a_spreadsheet_are_all_taken_and_shown_part_by_part() {
    begin("b");
    type("Orrin Joinery", "L-2", "2026-05-03", "", "", "", "", "");
    page.evaluate(
        """
        () => {
          const data = new DataTransfer();
          data.setData("text/plain", "JAR\\t1\\t0.10\\n".repeat(500));
          document.querySelector("[data-cell='rows.0.item']").dispatchEvent(
            new ClipboardEvent("paste", {clipboardData: data, bubbles: true, cancelable: true}));
        }
        """);
    page.waitForURL("**at=0");
    assertThat(page.textContent(".parts")).contains("1 to 200 of 500");
    assertThat(page.textContent("#proof")).contains("50.00");
  }

  /** Sharing is turned on and off by the same button: twice would be not at all. */
  @Test
  void a_button_pressed_before_the_proof_has_caught_up_acts_once() {
    begin("i");
    page.keyboard().type("Fenwick Garden");
    page.click("button:has-text('Share with the counter')");
    page.waitForSelector("button:has-text('Share no longer')");
    assertThat(page.inputValue("#customer")).isEqualTo("Fenwick Garden");
  }
}
