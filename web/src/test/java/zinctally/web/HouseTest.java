package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.security.crypto.password.PasswordEncoder;
import zinctally.store.house.AtBook;
import zinctally.store.house.Hosted;
import zinctally.store.house.HouseStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;

/** Many books at one program: each is reached by who may, and by nobody from another. */
class HouseTest {
  private static final String WORD = "a long enough word";
  private static Desk desk;
  private static Page keeper;

  @BeforeAll
  static void open() {
    desk = Desk.house();
    keeper = desk.window();
    keeper.navigate(desk.address + "/");
    keeper.waitForURL("**/books/first");
    keeper.fill("#name", "Ida Keeper");
    keeper.fill("#login", "ida");
    keeper.fill("#password", WORD);
    keeper.keyboard().press("Enter");
    keeper.waitForURL("**/sign-in?made");
    signIn(keeper, "ida");
    keeper.waitForURL("**/books");
    book("wickmere", "Wickmere Bee Yard");
    book("fenwick-garden", "Fenwick Garden");
  }

  @AfterAll
  static void close() {
    desk.close();
  }

  private static void signIn(Page window, String login) {
    window.fill("#username", login);
    window.fill("#password", WORD);
    window.keyboard().press("Enter");
  }

  private static String at(String book) {
    return desk.address.replace("//", "//" + book + ".");
  }

  private static String database(String book) {
    return new Hosted(book, "", true, Hosted.Limits.USUAL).database();
  }

  /** Made by the keeper; its owner, who signs in as dora, sets a password by the link. */
  private static void book(String address, String title) {
    keeper.navigate(desk.address + "/books/new");
    Map.of("address", address, "title", title, "name", "Dora Owner", "login", "dora")
        .forEach((cell, typed) -> keeper.fill("#" + cell, typed));
    keeper.keyboard().press("Enter");
    keeper.waitForURL("**/books/all/" + address);
    Page owner = desk.window();
    owner.navigate(keeper.inputValue("#link"));
    owner.fill("#next", WORD);
    owner.keyboard().press("Enter");
    owner.waitForURL(at(address) + "/sign-in?renewed");
    signIn(owner, "dora");
    owner.waitForURL(at(address) + "/");
    assertThat(owner.textContent("a.book")).isEqualTo(title);
    owner.context().close();
  }

  private static Page signedIn(String book, String login) {
    Page window = desk.window();
    window.navigate(at(book) + "/sign-in");
    signIn(window, login);
    window.waitForURL(at(book) + "/");
    return window;
  }

  /** Somebody of the house. */
  private static Page person(String login) {
    keeper.navigate(desk.address + "/books/people");
    keeper.fill("#name", "Miss " + login);
    keeper.fill("#login", login);
    keeper.keyboard().press("Enter");
    keeper.waitForSelector("#link");
    Page window = desk.window();
    window.navigate(keeper.inputValue("#link"));
    window.fill("#next", WORD);
    window.keyboard().press("Enter");
    window.waitForURL(desk.address + "/sign-in?renewed");
    signIn(window, login);
    window.waitForURL("**/books");
    return window;
  }

  private static void key(Page window, String book, String password) {
    window.navigate(desk.address + "/books");
    window.fill("#book", book);
    window.fill("#login", "dora");
    window.fill("#password", password);
    window.keyboard().press("Enter");
    window.waitForSelector(".told, .wrong");
  }

  private static void limits(String book, Hosted.Limits limits) {
    assertThat(desk.get(HouseStore.class).change(book, true, limits)).isTrue();
  }

  private static <T> T in(String book, java.util.function.Supplier<T> work) {
    return AtBook.in(database(book), work);
  }

  @Test
  void one_sign_in_leads_to_all_books_that_one_has_keys_to() {
    Page window = person("enid");
    key(window, "wickmere", "not the right word");
    assertThat(window.textContent(".wrong")).contains("do not go together");
    assertThat(window.inputValue("#book")).as("what was typed stays").isEqualTo("wickmere");
    key(window, "wickmere", WORD);
    assertThat(window.textContent(".told")).contains("Wickmere Bee Yard is among your books");
    key(window, "fenwick-garden", WORD);
    window.click("a:has-text('Fenwick Garden')");
    window.waitForURL(at("fenwick-garden") + "/");
    window.click("a:has-text('your books')");
    window.click("a:has-text('Wickmere Bee Yard')");
    window.waitForURL(at("wickmere") + "/");
    assertThat(window.textContent(".me a")).isEqualTo("dora");
    window.context().close();
  }

  @Test
  void what_is_in_one_book_is_in_no_other_and_neither_is_who_signed_in() {
    in(
        "wickmere",
        () ->
            desk.get(JdbcClient.class)
                .sql(
                    """
                    insert into item (id, code, name, kind, group_id, method, base_unit, tracking)
                    select next value for item_id, 'WB-1', 'Smoker', 'STOCKED', min(id), 'FIFO', 'H87', 'NONE'
                    from item_group
                    """)
                .update());
    Page window = signedIn("wickmere", "dora");
    window.navigate(at("wickmere") + "/goods");
    assertThat(window.textContent("main")).contains("Smoker");
    window.navigate(at("fenwick-garden") + "/goods");
    assertThat(window.url())
        .as("signed in there, not here")
        .startsWith(at("fenwick-garden") + "/sign-in");
    signIn(window, "dora");
    window.waitForURL(at("fenwick-garden") + "/goods*");
    assertThat(window.textContent("main")).doesNotContain("Smoker");
    window.context().close();
  }

  @Test
  void a_way_in_is_good_once_and_only_from_the_house() {
    Page window = person("fay");
    key(window, "wickmere", WORD);
    Queue<String> led = new ConcurrentLinkedQueue<>();
    window.onRequest(
        request -> {
          if (request.url().contains("/sign-in/led")) led.add(request.url());
        });
    window.click("a:has-text('Wickmere Bee Yard')");
    window.waitForURL(at("wickmere") + "/");
    Page other = desk.window();
    other.navigate(at("wickmere") + "/sign-in/led?by=guessed");
    assertThat(other.textContent(".wrong")).contains("good once, and for a minute");
    other.navigate(led.remove());
    assertThat(other.url()).endsWith("/sign-in?led");
    // one that nobody has used yet, opened as if from a letter, and one for another book
    desk.sql()
        .sql("insert into house_ticket values (sha2('fresh', 256), 'wickmere', 'dora', ?)")
        .param(LocalDateTime.now().plusHours(1))
        .update();
    other.navigate(at("wickmere") + "/sign-in/led?by=fresh");
    assertThat(other.url()).endsWith("/sign-in?led");
    window.navigate(desk.address + "/books");
    window.evaluate("to => location.assign(to)", at("fenwick-garden") + "/sign-in/led?by=fresh");
    window.waitForURL("**/sign-in?led");
    other.context().close();
    window.context().close();
  }

  @Test
  void a_key_fits_as_long_as_the_password_it_was_made_with() {
    Page window = person("gwen");
    key(window, "fenwick-garden", WORD);
    String hash = desk.get(PasswordEncoder.class).encode(WORD);
    Person dora =
        in("fenwick-garden", () -> desk.get(PeopleStore.class).find("dora").orElseThrow());
    in(
        "fenwick-garden",
        () -> {
          desk.get(PeopleStore.class).password(dora, hash, "dora");
          return 0;
        });
    window.click("a:has-text('Fenwick Garden')");
    window.waitForSelector(".wrong");
    assertThat(window.textContent(".wrong")).contains("The password of dora there was changed");
    window.click("a:has-text('let go')");
    window.click("button:has-text('Let it go')");
    window.waitForSelector(".told");
    assertThat(window.textContent("main")).contains("No book yet");
    window.context().close();
  }

  @Test
  void nobody_opens_with_the_key_of_another_or_keeps_the_house_who_does_not() {
    Page window = person("hazel");
    Page other = person("iris");
    key(other, "wickmere", WORD);
    String open = other.getAttribute("a:has-text('Wickmere Bee Yard')", "href");
    assertThat(window.navigate(desk.address + open).status()).isEqualTo(404);
    for (String page :
        new String[] {"/books/all", "/books/new", "/books/people", "/books/all/wickmere"})
      assertThat(window.navigate(desk.address + page).status()).as(page).isEqualTo(403);
    window.navigate(desk.address + "/goods");
    assertThat(window.url()).as("the house is no book").isEqualTo(desk.address + "/books");
    assertThat(window.navigate(at("wickmere") + "/books").status()).isEqualTo(404);
    assertThat(window.navigate(at("nowhere") + "/").status()).isEqualTo(404);
    other.context().close();
    window.context().close();
  }

  @Test
  void a_closed_book_lets_nobody_in_and_keeps_all() {
    book("closing", "Orrin Joinery");
    Page window = signedIn("closing", "dora");
    keeper.navigate(desk.address + "/books/all/closing");
    keeper.uncheck("[name=open]");
    keeper.click("button:has-text('Keep')");
    keeper.waitForSelector(".told");
    Response shut = window.navigate(at("closing") + "/goods");
    assertThat(shut.status()).isEqualTo(403);
    assertThat(window.textContent("h1")).isEqualTo("Orrin Joinery is closed");
    keeper.check("[name=open]");
    keeper.click("button:has-text('Keep')");
    keeper.waitForSelector(".told");
    assertThat(window.navigate(at("closing") + "/goods").status()).isEqualTo(200);
    window.context().close();
  }

  @Test
  void a_full_book_is_read_and_not_written_and_no_more_people_sign_in_than_may() {
    book("full", "Alder Lane Honey");
    limits("full", new Hosted.Limits(1, 6, 2000));
    Page window = signedIn("full", "dora");
    window.navigate(at("full") + "/setup/people");
    window.fill("#name", "Kit Second");
    window.fill("#login", "kit");
    window.fill("#password", WORD);
    window.keyboard().press("Enter");
    window.waitForSelector(".wrong");
    assertThat(window.textContent(".wrong")).startsWith("No more than 1 may sign in");
    limits("full", new Hosted.Limits(20, 6, 0));
    window.navigate(at("full") + "/");
    window.waitForCondition(() -> full(window)); // its size is asked once a minute
    desk.forgive();
    limits("full", Hosted.Limits.USUAL);
    window.context().close();
  }

  private static boolean full(Page window) {
    Object status =
        window.evaluate(
            """
            () => fetch('/papers/new/bill', {method: 'POST', redirect: 'manual',
              headers: {'X-CSRF-TOKEN': document.body.dataset.csrf}}).then(a => a.status)
            """);
    return status.equals(507);
  }

  @Test
  void what_is_done_by_itself_is_done_in_each_book() {
    Queue<String> seen = new ConcurrentLinkedQueue<>();
    desk.get(ThreadPoolTaskScheduler.class)
        .schedule(
            () ->
                seen.add(
                    desk.get(JdbcClient.class)
                        .sql("select database()")
                        .query(String.class)
                        .single()),
            Instant.now());
    keeper.waitForCondition(
        () -> seen.contains(database("wickmere")) && seen.contains(database("fenwick-garden")));
    assertThat(seen).contains(AtBook.HOUSE).doesNotHaveDuplicates();
  }

  @Test
  void a_name_that_is_no_address_is_refused_and_nothing_is_made() {
    keeper.navigate(desk.address + "/books/new");
    keeper.fill("#address", "Not-An Address");
    keeper.fill("#title", "Alder Lane Honey");
    keeper.keyboard().press("Enter");
    keeper.waitForSelector(".fault");
    assertThat(keeper.inputValue("#title")).isEqualTo("Alder Lane Honey");
    assertThat(keeper.textContent("form")).contains("small letters, digits and dashes");
    keeper.fill("#address", "wickmere");
    keeper.fill("#name", "Dora Owner");
    keeper.fill("#login", "dora");
    keeper.keyboard().press("Enter");
    keeper.waitForSelector(".fault:has-text('There is a book at this address')");
  }

  @Test
  void figures_of_the_program_are_told_at_the_house_alone() {
    assertThat(keeper.navigate(desk.address + "/metrics").status()).isEqualTo(200);
    Page window = signedIn("wickmere", "dora");
    assertThat(window.navigate(at("wickmere") + "/metrics").status()).isEqualTo(404);
    window.context().close();
  }

  @Test
  void a_book_whose_making_was_broken_off_is_made_when_it_is_asked_for_again() {
    desk.get(HouseStore.class)
        .add(new Hosted("broken-off", "Broken off", true, Hosted.Limits.USUAL));
    book("broken-off", "Thorne Apiary");
    keeper.navigate(desk.address + "/books/all?filter=thorne");
    assertThat(keeper.textContent("main"))
        .as("called what it is, and one may sign in")
        .containsPattern("Thorne Apiary\\s+open\\s+1\\s+20");
  }

  @Test
  void pages_of_the_house_can_be_read_by_everybody() {
    for (String page :
        new String[] {
          "/books", "/books/all", "/books/new", "/books/people", "/books/all/wickmere"
        }) {
      keeper.navigate(desk.address + page);
      assertThat(new AxeBuilder(keeper).analyze().getViolations()).as(page).isEmpty();
    }
  }
}
