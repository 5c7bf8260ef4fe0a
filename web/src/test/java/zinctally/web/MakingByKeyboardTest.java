package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Kits are made by a recipe, and one is taken apart again, without the mouse. */
class MakingByKeyboardTest extends OwnBookTest {
  @BeforeAll
  static void parts() {
    for (String code : new String[] {"KIT", "JAR", "LID"}) item(code, "FIFO", "NONE");
    receive("JAR", "2026-03-01", "30", "2.00");
    receive("LID", "2026-03-01", "16", "0.50");
  }

  @Test
  void kits_are_made_as_far_as_there_are_parts() {
    begin("e");
    page.fill("#item", "KIT");
    page.fill("#quantity", "1");
    page.focus("[data-cell='rows.0.item']");
    type("JAR", "1", "", "", "", "");
    type("LID", "1", "", "", "", "");
    type("6100 Packing", "", "", "0.25", "", "");
    String recipe = post("One each", "2.75");
    page.waitForSelector("text=A recipe moves no goods");
    page.click("text=What it needs");
    page.waitForURL("**/handle/recipes/*");
    page.fill("[name=quantity]", "20");
    page.keyboard().press("Enter");
    page.waitForSelector(".lack:has-text('4 missing')");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.click("text=Draft what is missing");
    page.waitForSelector("text=Begun: 1 draft of an order and 0 of work orders");
    page.click("text=Draft what is missing");
    page.waitForSelector("text=Nothing is missing that does not stand in a draft already.");

    begin("u");
    page.fill("#item", "KIT");
    page.fill("#quantity", "16");
    page.waitForSelector("text=Fill in 16 by " + recipe);
    page.keyboard().press("Alt+A");
    page.waitForURL("**/drafts/*?at=0");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("16");
    assertThat(page.inputValue("[data-cell='rows.2.amount']")).isEqualTo("4.00");
    String made = post("30 → 14", "16 → 0", "0 → 16", "44.00");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    assertThat(worth("KIT")).isEqualTo(4_400);

    sell(LocalDate.now().plusDays(1).toString(), "KIT", "1");
    long sale = desk.sql().sql("select max(id) from paper").query(Long.class).single();
    page.navigate(desk.address + "/papers/" + sale + "/why");
    assertThat(page.textContent("main"))
        .contains(
            "Into " + made + " went 16 Item JAR for 32.00, 16 Item LID for 8.00, 4.00 of work");
    page.navigate(desk.address + "/goods/item/" + id("JAR"));
    page.click("text=" + recipe);
    page.waitForURL("**/handle/recipes/*");
    page.navigate(desk.address + "/handle/assemblies?filter=kit");
    assertThat(page.textContent("#rows")).contains(made);
  }

  /** Twenty boxes are ordered, five are here; of the parts of the other fifteen two are missing. */
  @Test
  void what_an_order_waits_for_is_made_and_then_offered_to_be_delivered() {
    for (String code : new String[] {"BOX", "SIDE"}) item(code, "FIFO", "NONE");
    receive("BOX", "2026-03-01", "5", "9.00");
    receive("SIDE", "2026-03-01", "58", "2.00");
    begin("e");
    page.fill("#item", "BOX");
    page.fill("#quantity", "1");
    page.focus("[data-cell='rows.0.item']");
    type("SIDE", "4", "", "", "", "");
    post("One each", "8.00");
    begin("s");
    page.fill("#customer", "Fenwick Garden");
    page.focus("[data-cell='rows.0.item']");
    type("BOX", "20");
    page.fill("[data-cell='rows.0.price']", "20");
    String order = post();
    page.click("text=Make what is missing");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("#item") + " " + page.inputValue("#quantity")).isEqualTo("BOX 15");
    assertThat(page.inputValue("#order")).isEqualTo(order);
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("60");
    post("120.00");
    assertThat(page.textContent("main")).contains("For order", order);
    receive("SIDE", "2026-03-02", "2", "2.00");
    page.click("text=Make what is left");
    page.waitForURL("**/drafts/*");
    post("5 → 20", "60 → 0");
    assertThat(page.textContent("body")).contains("Waited for", order, "Pick what can go");
  }

  @Test
  void what_an_invoice_was_sent_ahead_for_is_made_as_far_as_it_is_not_here() {
    for (String code : new String[] {"HIVE", "WALL"}) item(code, "FIFO", "NONE");
    receive("HIVE", "2026-03-01", "2", "9.00");
    receive("WALL", "2026-03-01", "40", "2.00");
    begin("e");
    page.fill("#item", "HIVE");
    page.fill("#quantity", "1");
    page.focus("[data-cell='rows.0.item']");
    type("WALL", "4", "", "", "", "");
    post("One each", "8.00");
    long ahead =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.INVOICE,
                    Map.of(
                        "date",
                        "2026-03-02",
                        "customer",
                        "Fenwick Garden",
                        "place",
                        "Store",
                        "goods",
                        "later"),
                    List.of(Map.of("item", "HIVE", "quantity", "5", "price", "20"))),
                "owner");
    page.navigate(desk.address + "/papers/" + desk.get(Posting.class).post(ahead, "owner"));
    page.click("text=Make what is missing");
    page.waitForURL("**/drafts/*");
    assertThat(page.inputValue("#quantity")).isEqualTo("3");
    post("24.00");
  }

  private static long id(String code) {
    return desk.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }
}
