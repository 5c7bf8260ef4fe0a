package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.RequestOptions;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

/**
 * One draft, one card, one order in two windows: nobody overwrites what another has typed unseen.
 */
class TwoWindowsTest extends OwnBookTest {
  private static void cell(Page window, String cell, String typed) {
    window.focus("[data-cell='" + cell + "']");
    window.keyboard().press("Control+A");
    window.keyboard().type(typed);
    window.keyboard().press("Tab");
  }

  private static void kept(Page window) {
    window.waitForCondition(() -> window.textContent("#kept").startsWith("draft, kept"));
  }

  private static void open(Page window, String url) {
    window.navigate(url);
    window.waitForSelector("#paper");
  }

  @Test
  void a_stale_window_is_told_who_typed_what_and_keeps_its_own_as_a_draft() {
    item("WINDOW", "FIFO", "NONE");
    begin("b");
    type("Orrin Joinery", "W-1", "2026-05-01", "", "", "", "", "");
    type("WINDOW", "10", "5.00", "");
    page.waitForCondition(() -> page.textContent("#proof").contains("50.00"));
    String draft = page.url();
    Page other = desk.signedIn("bookkeeper", "a long enough word");
    open(other, draft);
    cell(other, "rows.0.quantity", "12");
    other.waitForCondition(() -> other.textContent("#proof").contains("60.00"));
    kept(other);
    cell(page, "rows.0.price", "7.00");
    page.waitForSelector("#proof .wrong");
    assertThat(page.textContent("#proof"))
        .contains("bookkeeper saved this draft in another window")
        .contains("Line 1, quantity")
        .contains("there 12, here 10")
        .contains("there 5.00, here 7.00");
    page.focus("#proof button:has-text('Keep this as a draft of its own')");
    page.keyboard().press("Enter");
    page.waitForURL(url -> url.contains("/drafts/") && !url.equals(draft));
    assertThat(page.inputValue("[data-cell='rows.0.price']")).isEqualTo("7.00");
    assertThat(page.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("10");
    open(other, draft);
    assertThat(other.inputValue("[data-cell='rows.0.quantity']")).isEqualTo("12");
    other.context().close();
  }

  @Test
  void a_page_loaded_anew_while_its_save_is_on_the_way_loses_nothing_and_is_no_stranger() {
    item("ANEW", "FIFO", "NONE");
    begin("b");
    type("Orrin Joinery", "W-3", "2026-05-01", "", "", "", "", "");
    type("ANEW", "10");
    page.waitForCondition(() -> !page.inputValue("#revision").equals("0"));
    AtomicReference<Request> late = new AtomicReference<>();
    page.route(
        "**/drafts/*/save",
        route -> {
          if (!late.compareAndSet(null, route.request())) route.abort();
        });
    cell(page, "rows.0.price", "5.00");
    page.waitForCondition(() -> late.get() != null);
    cell(page, "rows.0.quantity", "12"); // not even sent
    page.reload();
    RequestOptions sent = RequestOptions.create().setData(late.get().postData());
    late.get().headers().forEach(sent::setHeader);
    page.request().post(late.get().url(), sent);
    page.unroute("**/drafts/*/save");
    cell(page, "rows.1.item", "ANEW");
    cell(page, "rows.1.quantity", "1");
    cell(page, "rows.1.price", "4.00");
    page.waitForCondition(() -> page.textContent("#proof").contains("64.00"));
    assertThat(page.inputValue("[data-cell='rows.0.price']")).isEqualTo("5.00");
    post("64.00");
  }

  @Test
  void a_page_that_was_asked_for_before_the_last_save_goes_on_after_it() {
    item("BEFORE", "FIFO", "NONE");
    begin("b");
    type("Orrin Joinery", "W-4", "2026-05-01", "", "", "", "", "");
    type("BEFORE", "10", "5.00");
    page.waitForCondition(() -> page.textContent("#proof").contains("50.00"));
    kept(page);
    AtomicReference<Runnable> arrives = new AtomicReference<>();
    String draft = page.url();
    page.route(
        draft,
        route -> {
          APIResponse old = route.fetch();
          arrives.set(() -> route.fulfill(new Route.FulfillOptions().setResponse(old)));
        });
    page.focus("[data-cell='rows.0.quantity']");
    page.evaluate("setTimeout(() => location.reload())");
    page.waitForCondition(() -> arrives.get() != null);
    page.waitForResponse(
        "**/save",
        () -> {
          page.keyboard().press("Control+A");
          page.keyboard().type("12");
        });
    page.waitForNavigation(arrives.get());
    page.unroute(draft);
    page.waitForCondition(() -> page.textContent("#proof").contains("60.00"));
    cell(page, "rows.0.price", "6.00");
    page.waitForCondition(() -> page.textContent("#proof").contains("72.00"));
    post("72.00");
  }

  @Test
  void who_posts_second_is_told_and_nothing_else_is_posted() {
    item("SECOND", "FIFO", "NONE");
    begin("b");
    type("Orrin Joinery", "W-2", "2026-05-01", "", "", "", "", "");
    type("SECOND", "10", "5.00", "");
    page.waitForCondition(() -> page.textContent("#proof").contains("balances"));
    kept(page);
    Page other = desk.signedIn("bookkeeper", "a long enough word");
    open(other, page.url());
    post("50.00");
    cell(other, "rows.0.quantity", "99");
    other.waitForSelector("#proof .wrong");
    assertThat(other.textContent("#proof")).contains("owner posted this draft in another window");
    assertThat(worth("SECOND")).isEqualTo(5000);
    other.context().close();
  }

  @Test
  void a_mistyped_password_is_kept_nowhere() {
    Page stranger = desk.window();
    stranger.navigate(desk.address + "/sign-in");
    stranger.fill("#username", "bookkeeper");
    stranger.fill("#password", "a long enough worm");
    stranger.keyboard().press("Enter");
    stranger.waitForURL("**/sign-in?wrong");
    assertThat(
            desk.sql()
                .sql(
                    """
                    select count(*) from SPRING_SESSION_ATTRIBUTES
                    where instr(ATTRIBUTE_BYTES, 'a long enough worm') > 0
                      or ATTRIBUTE_NAME = 'SPRING_SECURITY_LAST_EXCEPTION'
                    """)
                .query(Long.class)
                .single())
        .isZero();
    // each wrong one doubles the wait, so that sooner or later no machine is too slow for it
    for (int n = 0; n < 16 && !stranger.url().contains("wait="); n++) {
      stranger.fill("#username", "nobody here");
      stranger.fill("#password", "wrong again");
      stranger.waitForNavigation(() -> stranger.keyboard().press("Enter"));
    }
    stranger.waitForSelector("text=Too many wrong passwords. Try again in");
    stranger.context().close();
  }

  @Test
  void a_card_saved_by_two_keeps_what_each_has_changed_and_asks_where_both_did() {
    item("CARD", "FIFO", "NONE");
    long id = desk.sql().sql("select id from item where code = 'CARD'").query(Long.class).single();
    String form = desk.address + "/goods/item/" + id + "/change";
    Page other = desk.signedIn("bookkeeper", "a long enough word");
    page.navigate(form);
    other.navigate(form);
    other.click("summary:has-text('Buying')");
    other.fill("#shelf", "B 12");
    other.fill("#name", "Card of theirs");
    other.focus("#name");
    other.keyboard().press("Enter");
    other.waitForURL("**/goods/item/" + id);
    page.click("summary:has-text('Notes')");
    page.fill("#notes", "keep dry");
    page.fill("#name", "Card of mine");
    page.focus("#name");
    page.keyboard().press("Enter");
    page.waitForSelector("text=Somebody has changed this from \"Item CARD\" to \"Card of theirs\"");
    assertThat(page.inputValue("#shelf")).isEqualTo("B 12");
    page.focus("#name");
    page.keyboard().press("Enter");
    page.waitForURL("**/goods/item/" + id);
    assertThat(
            desk.sql()
                .sql("select concat(name, '|', shelf, '|', notes) from item where id = ?")
                .param(id)
                .query(String.class)
                .single())
        .isEqualTo("Card of mine|B 12|keep dry");
    other.context().close();
  }
}
