package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

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
    type("Market", "", "", "for the market");
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
        .contains("Transfer note", number, "Market van", "for the market", "Item WAX")
        .doesNotContain("Total", "Amount");
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
    page.waitForSelector(".fault:has-text('is not a quantity of this item')");
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

  /** Whoever wrote the receipt writes a comma before the fraction; whoever goes on, a point. */
  @Test
  void goods_of_a_receipt_are_taken_elsewhere_as_many_as_its_writer_meant() {
    item("LID", "FIFO", "NONE");
    long draft =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                        PaperKind.RECEIPT,
                        Map.of("date", "2026-03-01", "supplier", "Orrin Joinery", "place", "Store"),
                        List.of(Map.of("item", "LID", "quantity", "2,5", "price", "0,10")))
                    .inForm(Form.COMMA),
                "owner");
    page.navigate(desk.address + "/papers/" + desk.get(Posting.class).post(draft, "owner"));
    page.click("text=Take them elsewhere");
    page.waitForURL("**/drafts/*");
    page.selectOption("#into", "Market van");
    post("2,5 → 0", "0 → 2,5");
    page.click("text=Amend");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.quantity']", "1");
    post("0 → 1,5", "2,5 → 1");
  }

  @Test
  void what_is_scanned_piece_by_piece_is_counted_up_line_by_line() {
    item("LAMP", "FIFO", "NONE");
    item("BELL", "FIFO", "NONE");
    desk.sql().sql("update item set gtin = '2000000000015' where code = 'LAMP'").update();
    desk.sql().sql("update item set gtin = '2000000000022' where code = 'BELL'").update();
    receive("LAMP", "2026-03-01", "5", "2.00");
    receive("BELL", "2026-03-01", "5", "2.00");
    begin("v");
    page.selectOption("#into", "Market van");
    page.focus("[data-cell='rows.0.item']");
    type("2000000000015", "2000000000022", "2000000000015", "2000000000015", "2000000000022");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("3");
    assertThat(page.inputValue("[data-cell='rows.1.item']")).isEqualTo("2000000000022");
    post("5 → 2", "0 → 3", "5 → 3", "0 → 2");
  }

  @Test
  void goods_are_on_the_way_until_they_are_received_and_one_of_them_is_lost() {
    item("MUG", "FIFO", "NONE");
    receive("MUG", "2026-03-01", "10", "2.00");
    begin("v");
    page.selectOption("#sent", "yes");
    page.focus("#into");
    type("Market", "");
    page.focus("[data-cell='rows.0.item']");
    type("MUG", "4", "");
    String sent = post("10 → 6", "0 → 4", "On the way");
    page.waitForSelector("text=Goods are on the way to another place.");
    page.click("text=They have come");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.quantity']", "2");
    page.focus("[data-cell='rows.1.item']");
    type("MUG", "1", "Breakage", "dropped");
    String came = post("10 → 9", "4 → 1", "0 → 2", "2.00");
    assertThat(new AxeBuilder(page).analyze().getViolations()).isEmpty();
    page.navigate(desk.address + "/handle/on-the-way");
    assertThat(page.textContent("#rows")).contains(sent, "Item MUG", "Store", "Market van");
    page.navigate(desk.address + "/handle/arrivals");
    assertThat(page.textContent("#rows")).contains(came, "Breakage: dropped");
  }
}
