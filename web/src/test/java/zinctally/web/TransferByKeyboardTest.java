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
}
