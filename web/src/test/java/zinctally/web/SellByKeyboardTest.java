package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Selling from an order at the keyboard. All figures worked out by hand. */
class SellByKeyboardTest extends OwnBookTest {
  private static void receive(String date, String quantity) {
    long draft =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.RECEIPT,
                    Map.of("date", date, "supplier", "Orrin Joinery", "place", "Store"),
                    List.of(Map.of("item", "SOLD", "quantity", quantity, "price", "4.00"))),
                "owner");
    desk.get(Posting.class).post(draft, "owner");
  }

  /**
   * 6 here at 4.00, 10 ordered at 9.00: 4 short. 6 go, invoiced at 54.00 and costing 24.00; when 4
   * more have come they go too: 36.00, costing 16.00. With tax of 20 %: 64.80 and 43.20.
   */
  @Test
  void an_order_with_a_short_line_goes_in_two_parts_as_goods_come() throws Exception {
    item("SOLD", "FIFO", "NONE");
    receive("2026-02-01", "6");
    begin("s");
    type("Fenwick Garden", "FG 7", "2026-02-02", "2026-02-20", "", "", "");
    type("SOLD", "10", "9.00", "S");
    String order = post("Item SOLD is short: 6 of 10 are free here; none is on order", "108.00");
    String orderUrl = page.url().replaceAll("\\?.*", "");
    try (var pdf = Loader.loadPDF(page.request().get(orderUrl + "/pdf").body())) {
      assertThat(new PDFTextStripper().getText(pdf)).contains("Order confirmation " + order);
    }
    page.focus("button:has-text('Send and invoice')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.waitForCondition(() -> page.textContent("#proof").contains("this takes 10"));
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("6");
    String first = post("54.00", "64.80", "24.00");
    page.navigate(orderUrl);
    assertThat(page.textContent("main h1")).contains("part delivered");
    receive("2026-02-10", "4");
    begin("i");
    type("Fenwick Garden", "FG 7", "2026-02-11", "");
    takeAll();
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("4");
    String second = post("36.00", "43.20", "16.00");
    page.navigate(orderUrl);
    assertThat(page.textContent("main h1")).contains("complete");
    assertThat(page.textContent(".proof")).contains(first).contains(second);
    assertThat(worth("SOLD")).isZero();
    assertThat(booked("COST_OF_GOODS_SOLD", "SOLD")).isEqualTo(4000);
    assertThat(ofPaper("RECEIVABLES", first)).isEqualTo(6480);
    assertThat(ofPaper("SALES_TAX", second)).isEqualTo(-720);
  }
}
