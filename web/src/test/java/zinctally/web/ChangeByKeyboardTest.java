package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.posting.Posting;
import zinctally.store.prove.BalanceStore;

/** What has been posted and is then found to be late, wrong or not to be. */
class ChangeByKeyboardTest {
  private static final String WORD = "a long enough word";
  private static Desk desk;
  private static Page page;

  @BeforeAll
  static void open() {
    desk = new Desk("own");
    desk.get(BookStore.class)
        .save("Wickmere Bee Yard", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, false);
    String hash = desk.get(PasswordEncoder.class).encode(WORD);
    for (Person.Role role : Person.Role.values())
      desk.get(PeopleStore.class).add(role.name().toLowerCase(), role.words(), hash, role);
    page = desk.signedIn("owner", WORD);
  }

  @AfterAll
  static void close() {
    desk.close();
  }

  private static void item(String code, String method) {
    desk.sql()
        .sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit)
            select next value for item_id, ?, ?, 'STOCKED', min(id), ?, 'H87' from item_group
            """)
        .params(code, "Item " + code, method)
        .update();
  }

  private static long post(PaperKind kind, String date, String... cells) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", date);
    fields.put("place", "Store");
    fields.put(kind == PaperKind.BILL ? "supplier" : "customer", "Someone");
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < cells.length; i += 3)
      rows.add(Map.of("item", cells[i], "quantity", cells[i + 1], "price", cells[i + 2]));
    long draft = desk.get(DraftStore.class).begin(new Draft(kind, fields, rows), "owner");
    return desk.get(Posting.class).post(draft, "owner");
  }

  private static String number(long paper) {
    return desk.sql()
        .sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }

  private static void type(String... cells) {
    for (String cell : cells) {
      page.keyboard().type(cell);
      page.keyboard().press("Enter");
    }
  }

  private static void sound() {
    page.waitForCondition(() -> page.textContent("#proof h2").contains("balances"));
  }

  /**
   * By hand: 10 at 2.00, 4 sold for 8.00. A bill of before the sale, 10 at 4.00, makes the average
   * 3.00: the sale costs 12.00, 4.00 more. Voided again, it costs 8.00.
   */
  @Test
  void a_bill_two_months_late_is_proved_posted_found_in_its_sale_and_voided_again() {
    item("LATE", "AVERAGE");
    post(PaperKind.BILL, "2026-03-01", "LATE", "10", "2.00");
    long sale = post(PaperKind.INVOICE, "2026-05-20", "LATE", "4", "9.00");
    var before = desk.get(BalanceStore.class).now();
    page.navigate(desk.address + "/");
    page.keyboard().press("n");
    page.keyboard().press("b");
    page.waitForURL("**/drafts/*");
    type("Orrin Joinery", "OJ-77", "2026-03-20", "", "", "", "", "");
    type("LATE", "10", "4.00");
    page.waitForCondition(() -> page.textContent("#proof").contains(number(sale)));
    sound();
    assertThat(page.textContent("#proof"))
        .contains("Papers whose cost changes")
        .contains("2026-05-20")
        .contains("+4.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    String bill = page.url().replaceAll("\\?.*", "");
    page.navigate(desk.address + "/papers/" + sale);
    assertThat(page.textContent(".proof")).contains("12.00");
    page.focus("text=Why this cost?");
    page.keyboard().press("Enter");
    page.waitForURL("**/why");
    assertThat(page.textContent("main"))
        .contains("4 for 12.00, 3.00 each")
        .contains("20 were here, worth 60.00")
        .contains("Put right by +4.00 on 2026-05-20");
    page.navigate(bill);
    page.focus("main a:has-text('Void')");
    page.keyboard().press("Enter");
    page.waitForURL("**/void");
    assertThat(page.textContent("#proof"))
        .contains("balances")
        .contains(number(sale))
        .contains("−4.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL(bill);
    assertThat(page.textContent("main h1")).contains("void");
    assertThat(page.textContent("main")).contains("Voided on 2026-03-20. By owner");
    page.navigate(desk.address + "/papers/" + sale);
    assertThat(page.textContent(".proof")).contains("8.00");
    assertThat(desk.get(BalanceStore.class).now()).isEqualTo(before);
    assertThat(page.textContent("#balance")).contains("in step");
  }

  @Test
  void a_wrong_price_is_amended_and_the_version_before_stays_readable() {
    item("PRICE", "FIFO");
    long bill = post(PaperKind.BILL, "2026-03-01", "PRICE", "10", "2.00");
    page.navigate(desk.address + "/papers/" + bill);
    page.focus("button:has-text('Amend')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.focus("[data-cell='rows.0.price']");
    page.keyboard().press("Control+A");
    type("2.50");
    page.waitForCondition(() -> page.textContent("#proof").contains("Line 1, price"));
    sound();
    assertThat(page.textContent("#proof")).contains("2.00 → 2.50").contains("5.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    assertThat(page.textContent("main h1")).contains("version 2");
    assertThat(page.textContent("main table")).contains("25.00");
    page.click("text=Version 1, posted");
    page.waitForURL("**/version/1");
    assertThat(page.textContent("main")).contains("superseded").contains("2.00");
  }

  /**
   * By hand: 10 at 6.00, 4 sold for 24.00. Carriage of 10.00 makes each 7.00: the sale costs 28.00.
   * One comes back at 7.00; five cannot.
   */
  @Test
  void late_freight_reaches_a_sale_and_one_piece_of_it_comes_back_at_that_cost() {
    item("HEAVY", "FIFO");
    long bill = post(PaperKind.BILL, "2026-03-01", "HEAVY", "10", "6.00");
    long sale = post(PaperKind.INVOICE, "2026-03-10", "HEAVY", "4", "9.00");
    page.navigate(desk.address + "/papers/" + bill);
    page.focus("button:has-text('Charges')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.focus("#supplier");
    type("Brenn Carriers", "BC-9", "2026-04-02", "", "Carriage", "10.00");
    page.waitForCondition(() -> page.textContent("#proof").contains(number(sale)));
    sound();
    assertThat(page.textContent("#proof")).contains("HEAVY, " + number(bill)).contains("+4.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    page.navigate(desk.address + "/papers/" + sale + "/why");
    assertThat(page.textContent("main"))
        .contains("4 for 28.00, 7.00 each")
        .contains("+10.00 by CH-");
    page.navigate(desk.address + "/papers/" + sale);
    page.focus("button:has-text('Return')");
    page.keyboard().press("Enter");
    page.waitForURL("**/drafts/*");
    page.fill("#date", "2026-04-10");
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("5");
    page.waitForCondition(() -> page.textContent("#proof").contains("4 of Item HEAVY"));
    page.focus("[data-cell='rows.0.quantity']");
    page.keyboard().press("Control+A");
    type("1");
    sound();
    assertThat(page.textContent("#proof")).contains("Sales returns").contains("7.00");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    assertThat(page.textContent("main table")).contains("+7.00");
    assertThat(page.textContent("#balance")).contains("in step");
  }

  @Test
  void the_proof_of_a_void_is_shown_for_another_day_before_anything_is_done() {
    item("DAY", "FIFO");
    long bill = post(PaperKind.BILL, "2026-03-01", "DAY", "5", "2.00");
    page.navigate(desk.address + "/papers/" + bill + "/void");
    page.fill("#on", "2026-02-28");
    page.keyboard().press("Enter");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("cannot be voided before that"));
    page.fill("#on", "2026-04-01");
    page.keyboard().press("Enter");
    page.waitForCondition(() -> page.textContent("#proof").contains("2026-04-01"));
    assertThat(page.url()).doesNotContain("csrf");
    page.navigate(desk.address + "/papers/" + bill);
    assertThat(page.textContent("main h1")).doesNotContain("void");
  }

  @Test
  void a_bill_whose_goods_are_sold_is_not_voided_and_says_which_sale_has_them() {
    item("GONE", "FIFO");
    long bill = post(PaperKind.BILL, "2026-03-01", "GONE", "5", "2.00");
    long sale = post(PaperKind.INVOICE, "2026-03-02", "GONE", "5", "9.00");
    page.navigate(desk.address + "/papers/" + bill + "/void");
    assertThat(page.textContent("#proof")).contains("cannot be voided").contains(number(sale));
    assertThat(page.isDisabled("[data-post]")).isTrue();
  }

  @Test
  void a_closed_month_refuses_papers_and_only_the_owner_opens_it_again() {
    page.navigate(desk.address + "/prove/periods");
    page.focus("text=Close it");
    page.keyboard().press("Enter");
    page.waitForURL("**/prove/periods/2026-01");
    assertThat(page.textContent("main")).contains("Nothing: no draft");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/prove/periods");
    assertThat(page.textContent("main")).contains("2026-01 is closed");
    page.keyboard().press("n");
    page.keyboard().press("b");
    page.waitForURL("**/drafts/*");
    page.fill("#date", "2026-01-31");
    page.waitForCondition(
        () -> page.textContent("#proof").contains("2026-01-31 is in a closed period"));
    Page other = desk.signedIn("bookkeeper", WORD);
    other.navigate(desk.address + "/prove/periods");
    assertThat(other.textContent("main")).doesNotContain("Open it again");
    other.close();
    page.navigate(desk.address + "/prove/periods/2026-01");
    page.keyboard().press("Control+Enter");
    page.waitForCondition(() -> page.textContent("main").contains("Why is 2026-01 opened again?"));
    page.fill("#why", "The joiner's bill came late");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/prove/periods");
    assertThat(page.textContent("main")).contains("2026-01 is open again");
  }

  @Test
  void each_role_does_what_it_may_and_no_more() {
    item("ROLE", "FIFO");
    long bill = post(PaperKind.BILL, "2026-03-01", "ROLE", "5", "2.00");
    for (String login : List.of("counter", "reader")) {
      Page theirs = desk.signedIn(login, WORD);
      // bills tell what goods cost, which the counter of a new book does not see
      assertThat(theirs.navigate(desk.address + "/papers/" + bill).status())
          .isEqualTo(login.equals("counter") ? 403 : 200);
      assertThat(theirs.locator("button:has-text('Amend')").count()).isZero();
      assertThat(theirs.navigate(desk.address + "/papers/" + bill + "/void").status())
          .isEqualTo(403);
      assertThat(theirs.navigate(desk.address + "/setup/people").status()).isEqualTo(403);
      theirs.close();
    }
  }

  @Test
  void a_group_and_a_price_list_are_made_from_the_items_form() {
    page.navigate(desk.address + "/goods/new");
    page.fill("#code", "MADE");
    page.fill("#name", "Smoker, copper");
    page.fill("#new_group", "Smokers");
    page.press("summary:has-text('Selling')", "Enter");
    page.fill("#new_list", "Market");
    page.fill("#new_list_price", "34.50");
    page.press("summary:has-text('kept and costed')", "Enter");
    page.fill("#reorder_point", "many");
    page.keyboard().press("Control+Enter");
    page.waitForCondition(() -> page.textContent("main").contains("nothing was kept"));
    assertThat(page.inputValue("#new_group")).isEqualTo("Smokers");
    page.fill("#reorder_point", "2");
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/goods/item/*");
    assertThat(page.textContent("main")).contains("Smokers");
    assertThat(page.textContent(".proof")).contains("Market").contains("34.50");
    page.navigate(desk.address + "/goods/new");
    page.fill("#name", "Smoker, tin");
    page.fill("#new_group", "smokers");
    page.keyboard().press("Control+Enter");
    page.waitForCondition(
        () -> page.textContent("main").contains("There is a group called smokers already"));
  }

  @Test
  void many_items_are_made_and_changed_in_a_table_and_one_wrong_cell_keeps_nothing() {
    item("GRID", "FIFO");
    page.navigate(desk.address + "/goods/many");
    page.fill("input[name=filter]", "grid");
    page.press("input[name=filter]", "Enter");
    page.waitForURL("**filter=grid");
    page.focus("[name='rows[0].shelf']");
    page.keyboard().type("B 7");
    page.keyboard().press("Enter");
    page.keyboard().press("Tab");
    page.keyboard().type("Grid hook");
    page.keyboard().press("ArrowDown");
    page.keyboard().type("Grid nail");
    page.fill("[name='rows[2].reorder_point']", "many");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=1 row is not right yet; nothing was kept.");
    assertThat(page.inputValue("[name='rows[1].name']")).isEqualTo("Grid hook");
    assertThat(page.inputValue("[name='rows[0].shelf']")).isEqualTo("B 7");
    page.fill("[name='rows[2].reorder_point']", "20");
    page.keyboard().press("Control+Enter");
    page.waitForSelector("text=1 item is changed, 2 items are made.");
    assertThat(
            desk.sql()
                .sql("select concat_ws('|', code, name, shelf) from item where name like '%grid%'")
                .query(String.class)
                .list())
        .containsExactlyInAnyOrder("GRID|Item GRID|B 7", "GRI-01|Grid hook|", "GRI-02|Grid nail|");
  }

  @Test
  void the_small_tables_of_set_up_keep_what_is_right_and_refuse_what_is_not() {
    page.navigate(desk.address + "/setup/tax");
    page.locator("[name=code]").last().fill("H");
    page.locator("[name=name]").last().fill("High rate");
    page.locator("[name=percent]").last().fill("120");
    page.locator("[name=percent]").last().press("Enter");
    page.waitForCondition(() -> page.textContent("main").contains("percent between 0 and 100"));
    page.locator("[name=code]").last().fill("H");
    page.locator("[name=name]").last().fill("High rate");
    page.locator("[name=percent]").last().fill("25");
    page.locator("[name=percent]").last().press("Enter");
    page.waitForCondition(() -> page.textContent("main").contains("Kept."));
    assertThat(
            desk.sql()
                .sql("select percent from tax_rate where code = 'H'")
                .query(java.math.BigDecimal.class)
                .single())
        .isEqualByComparingTo("25");
    page.navigate(desk.address + "/setup/places");
    page.locator("[name=name]").last().fill("Market van");
    page.locator("[name=name]").last().press("Enter");
    page.waitForCondition(() -> page.textContent("main").contains("Kept."));
    page.locator("[name=name]").last().fill("market van");
    page.locator("[name=name]").last().press("Enter");
    page.waitForCondition(
        () -> page.textContent("main").contains("There is one called market van already"));
  }
}
