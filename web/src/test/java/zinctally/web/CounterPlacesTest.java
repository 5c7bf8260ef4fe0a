package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** The counter sells what stands elsewhere from there, line by line. */
class CounterPlacesTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("VEIL", "FIFO", "NONE");
    item("KNIFE", "FIFO", "NONE");
    receive("VEIL", "2026-04-01", "5", "4.00");
    desk.sql().sql("insert into place (name) values ('Loft')").update();
    long draft =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.RECEIPT,
                    Map.of("date", "2026-04-02", "supplier", "Orrin Joinery", "place", "Loft"),
                    List.of(Map.of("item", "KNIFE", "quantity", "3", "price", "6.00"))),
                "owner");
    desk.get(Posting.class).post(draft, "owner");
  }

  private static long at(String place, String code) {
    return desk.sql()
        .sql(
            """
            select coalesce(sum(s.quantity), 0) from place_stock s
            join item i on i.id = s.item_id join place p on p.id = s.place_id
            where p.name = ? and i.code = ?
            """)
        .params(place, code)
        .query(Long.class)
        .single();
  }

  @Test
  void what_is_short_is_said_before_it_is_paid_and_a_line_is_sold_from_where_it_stands() {
    page.navigate(desk.address + "/counter");
    page.waitForSelector("#amount");
    page.keyboard().type("50");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/drafts/*");
    page.fill("[data-cell='rows.0.item']", "VEIL");
    page.fill("[data-cell='rows.0.price']", "10.00");
    page.fill("[data-cell='rows.1.item']", "KNIFE");
    page.fill("[data-cell='rows.1.price']", "20.00");
    page.waitForCondition(
        () ->
            page.textContent("#proof").contains("Store has 0 of Item KNIFE; this takes 1.")
                && page.textContent("#proof").contains("Loft has 3"));
    assertThat(page.inputValue("#cash")).isEmpty();
    page.fill("[data-cell='rows.1.place']", "Attic");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("There is no place called \"Attic\""));
    page.fill("[data-cell='rows.1.place']", "Loft");
    page.waitForCondition(() -> !page.textContent("#proof").contains("this takes"));
    assertThat(page.textContent("[data-row='1'] [data-shown=free]")).contains("3");
    page.fill("#cash", "30");
    page.waitForCondition(() -> page.textContent("#proof").contains("balances"));
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('CS-')");
    assertThat(at("Store", "VEIL")).isEqualTo(4_000_000);
    assertThat(at("Loft", "KNIFE")).isEqualTo(2_000_000);
    assertThat(at("Store", "KNIFE")).isZero();
    page.click(".told a");
    page.waitForURL("**/papers/*");
    assertThat(page.textContent("main table")).contains("from Loft");
  }
}
