package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What is filled in follows what it depends on; what was typed stays. */
class FilledInTest extends OwnBookTest {
  @BeforeAll
  static void goods() {
    item("FRAME", "FIFO", "NONE");
    desk.sql().sql("update item set pack_name = 'cs', pack_size = 50000000").update();
    desk.sql()
        .sql(
            """
            insert into item_price (item_id, list_id, price, min_quantity)
            select i.id, l.id, x.price, x.least from item i join price_list l on l.name = 'Retail'
            join (select 1.60 as price, 0 as least union all select 1.50, 100000000) x
            """)
        .update();
    receive("FRAME", "2026-04-01", "500", "0.90");
  }

  private static String value(String cell) {
    return page.inputValue("[data-cell='" + cell + "']");
  }

  private static void becomes(String cell, String value) {
    page.waitForCondition(() -> value(cell).equals(value));
  }

  private static void cell(String cell, String typed) {
    page.focus("[data-cell='" + cell + "']");
    page.keyboard().press("Control+A");
    page.keyboard().type(typed);
    page.keyboard().press("Enter");
  }

  @Test
  void a_price_that_was_filled_in_follows_unit_and_quantity_and_a_typed_one_stays() {
    begin("i");
    page.keyboard().type("Fenwick Garden");
    page.keyboard().press("Enter");
    cell("rows.0.item", "FRAME");
    becomes("rows.0.price", "1.60");
    cell("rows.0.quantity", "1 cs");
    becomes("rows.0.price", "80.00");
    cell("rows.0.quantity", "2 cs");
    becomes("rows.0.price", "75.00");
    cell("rows.0.price", "70");
    page.waitForSelector("[data-row='0'] [data-shown=list]:has-text('75.00 listed')");
    cell("rows.0.quantity", "3 cs");
    page.waitForCondition(() -> page.textContent("#proof").contains("210.00"));
    assertThat(value("rows.0.price")).isEqualTo("70");
  }

  @Test
  void a_line_is_struck_out_by_one_key_and_days_are_written_out() {
    begin("i");
    page.keyboard().type("Fenwick Garden");
    page.keyboard().press("Enter");
    cell("date", "2.5.2026");
    becomes("date", "2026-05-02");
    cell("rows.0.item", "FRAME");
    cell("rows.1.item", "FRAME");
    becomes("rows.1.price", "1.60");
    cell("rows.1.quantity", "7");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Alt+x");
    becomes("rows.0.quantity", "7");
    assertThat(value("rows.1.item")).isEmpty();
  }

  @Test
  void an_answer_that_comes_late_leaves_a_day_alone_that_was_typed_on_meanwhile() {
    begin("i");
    page.keyboard().type("Fenwick Garden");
    page.keyboard().press("Enter");
    page.waitForCondition(() -> page.textContent("#proof").contains("line"));
    List<Route> held = new ArrayList<>();
    page.route("**/save", held::add);
    page.focus("#date");
    page.keyboard().press("Control+A");
    page.keyboard().type("20");
    page.waitForCondition(() -> !held.isEmpty());
    page.keyboard().type("26-05-02");
    page.keyboard().press("Enter");
    page.unroute("**/save");
    page.waitForResponse("**/save", () -> held.get(0).resume());
    page.waitForCondition(
        () -> "2026-05-02".equals(page.getAttribute("#proof [data-day='date']", "value")));
    assertThat(value("date")).isEqualTo("2026-05-02");
  }

  @Test
  void the_card_pays_what_cash_that_is_typed_leaves() {
    page.navigate(desk.address + "/counter");
    page.waitForSelector("#amount");
    page.keyboard().type("100");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/drafts/*");
    page.waitForCondition(
        () -> (Boolean) page.evaluate("document.activeElement.matches('[data-col=item]')"));
    page.keyboard().type("FRAME");
    page.keyboard().press("Enter");
    becomes("rows.0.price", "1.60");
    cell("cash", "1.00");
    page.keyboard().press("Alt+k");
    becomes("card", "0.60");
    page.waitForCondition(() -> page.textContent("#proof").contains("balances"));
    page.keyboard().press("Control+Enter");
    page.waitForSelector(".told:has-text('CS-')");
    page.navigate(desk.address + "/counter/till");
    assertThat(page.textContent("main")).contains("101.00").contains("CS-");
    page.navigate(desk.address + "/sell/cards");
    assertThat(page.textContent("main")).contains("0.60").contains("booked");
  }

  @Test
  void a_person_who_writes_commas_reads_and_writes_commas() {
    desk.sql().sql("update app_user set figures = 'COMMA' where login = 'owner'").update();
    try {
      begin("b");
      type("Pell Wax", "C-1", "3.5.2026", "", "", "", "", "");
      type("FRAME", "12", "1,25", "");
      page.waitForCondition(() -> page.textContent("#proof").contains("15,00"));
      page.keyboard().press("Control+Enter");
      page.waitForURL("**/papers/*");
      assertThat(page.textContent("main")).contains("15,00");
    } finally {
      desk.sql().sql("update app_user set figures = null where login = 'owner'").update();
    }
    page.reload();
    assertThat(page.textContent("main")).contains("15.00");
  }
}
