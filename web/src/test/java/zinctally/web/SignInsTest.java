package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FormData;
import com.microsoft.playwright.options.RequestOptions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;

/** Who gets in, and who no longer does. */
class SignInsTest extends OwnBookTest {
  private static final String FIRST = "a long enough word";

  @BeforeAll
  static void people() {
    String hash = desk.get(PasswordEncoder.class).encode(FIRST);
    for (String login : new String[] {"ann", "ben", "cora"})
      desk.get(PeopleStore.class).add(login, "Miss " + login, hash, Person.Role.READER);
  }

  private static boolean gets(Page window) {
    window.navigate(desk.address + "/goods");
    return !window.url().contains("/sign-in");
  }

  private static void row(String login, String press) {
    page.navigate(desk.address + "/setup/people");
    page.locator("tr:has(td:text-is('" + login + "')) " + press).click();
  }

  @Test
  void who_is_switched_off_or_made_something_else_is_out_at_once() {
    Page window = desk.signedIn("ann", FIRST);
    assertThat(gets(window)).isTrue();
    page.navigate(desk.address + "/setup/people");
    page.uncheck("[aria-label='Miss ann may sign in']");
    keep("ann");
    assertThat(gets(window)).isFalse();
    assertThat(
            desk.sql()
                .sql(
                    "select after_text from audit where subject = 'person' and login = 'owner'"
                        + " order by id desc limit 1")
                .query(String.class)
                .single())
        .startsWith("ann,")
        .contains("off");
    window.context().close();
  }

  private static void keep(String login) {
    page.locator("tr:has(td:text-is('" + login + "')) button:has-text('Keep')").click();
    page.waitForSelector("text=Kept.");
  }

  @Test
  void a_reader_changes_a_password_knowing_the_old_one_and_is_out_everywhere_else() {
    Page here = desk.signedIn("ben", FIRST);
    Page there = desk.signedIn("ben", FIRST);
    here.click(".me a:has-text('ben')");
    here.fill("#now", "not this one");
    here.fill("#next", "another long word");
    here.click("text=Change it");
    here.waitForSelector("text=That is not your present password.");
    here.fill("#now", FIRST);
    here.fill("#next", "password123");
    here.click("text=Change it");
    here.waitForSelector("text=among the first that are guessed");
    assertThat(gets(there)).isTrue();
    here.fill("#now", FIRST);
    here.fill("#next", "another long word");
    here.click("text=Change it");
    here.waitForSelector("text=Your password is changed");
    assertThat(gets(there)).isFalse();
    assertThat(gets(here)).isTrue();
    desk.signedIn("ben", "another long word").context().close();
    here.context().close();
    there.context().close();
  }

  @Test
  void a_link_from_the_owner_sets_a_password_once() {
    Page forgot = desk.signedIn("cora", FIRST);
    row("cora", "button:has-text('new password')");
    String link = page.inputValue("#link");
    assertThat(link).startsWith(desk.address + "/new-password?by=");
    Page stranger = desk.window();
    stranger.navigate(link);
    stranger.fill("#next", "cora cora cora");
    stranger.click("text=Set it");
    stranger.waitForSelector("text=among the first that are guessed");
    stranger.fill("#next", "a quite new word");
    stranger.click("text=Set it");
    stranger.waitForURL("**/sign-in?renewed");
    assertThat(gets(forgot)).isFalse();
    stranger.navigate(link);
    assertThat(stranger.textContent("main")).contains("used up");
    desk.signedIn("cora", "a quite new word").context().close();
    forgot.context().close();
    stranger.context().close();
  }

  @Test
  void who_has_not_signed_in_leaves_nothing_in_the_database() {
    long before = sessions();
    Page stranger = desk.window();
    for (String path : new String[] {"/sign-in", "/goods", "/papers/1"})
      stranger.request().get(desk.address + path);
    assertThat(sessions()).isEqualTo(before);
    assertThat(
            stranger
                .request()
                .post(
                    desk.address + "/sign-in",
                    RequestOptions.create()
                        .setForm(FormData.create().set("username", "ann").set("password", FIRST)))
                .status())
        .as("no form of ours")
        .isEqualTo(403);
    stranger.context().close();
  }

  private static long sessions() {
    return desk.sql().sql("select count(*) from SPRING_SESSION").query(Long.class).single();
  }

  @Test
  void a_bookkeeper_does_not_decide_who_approves_him() {
    Page clerk = desk.signedIn("bookkeeper", FIRST);
    clerk.navigate(desk.address + "/setup");
    assertThat(clerk.isDisabled("#approver")).isTrue();
    clerk.fill("#name", "Wickmere Bee Yard and Sons");
    clerk.click("main .btn:has-text('Keep')");
    clerk.waitForSelector("text=Kept.");
    clerk.evaluate("document.querySelector('#approver').disabled = false");
    clerk.selectOption("#approver", "BOOKKEEPER");
    clerk.click("main .btn:has-text('Keep')");
    clerk.waitForSelector("text=the owner says");
    assertThat(desk.sql().sql("select approver from book").query(String.class).single()).isEmpty();
    clerk.context().close();
  }

  @Test
  void what_is_changed_in_the_set_up_leaves_what_it_was() {
    page.navigate(desk.address + "/setup/places");
    page.fill("[aria-label='Name of a new one']", "Market van");
    page.click("button:has-text('Add')");
    page.waitForSelector("text=Kept.");
    page.fill("[aria-label='Name of Market van']", "Weekend van");
    page.locator("tr:has([aria-label='Name of Market van']) button").click();
    page.waitForSelector("[aria-label='Name of Weekend van']");
    assertThat(
            desk.sql()
                .sql(
                    "select concat(login, ' ', what, ': ', coalesce(before_text, '-'), ' > ',"
                        + " after_text) from audit where subject = 'places' order by id")
                .query(String.class)
                .list())
        .hasSize(2)
        .satisfies(
            left -> {
              assertThat(left.get(0)).startsWith("owner made: - > ").contains("Market van");
              assertThat(left.get(1))
                  .startsWith("owner changed: ")
                  .containsSubsequence("Market van", "Weekend van");
            });
  }
}
