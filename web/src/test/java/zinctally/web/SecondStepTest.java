package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.List;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.SecondStep;

/** A code after the password. */
class SecondStepTest extends OwnBookTest {
  private static final String WORD = "a long enough word";

  @BeforeEach
  void nobodyIsAsked() {
    desk.get(SecondStep.class).demand(List.of());
  }

  private static String someone(String login) {
    String hash = desk.get(PasswordEncoder.class).encode(WORD);
    desk.get(PeopleStore.class).add(login, "Miss " + login, hash, Person.Role.READER);
    return login;
  }

  /** What the device shows; half a minute ahead, so that a slow machine is not too late. */
  private static String shown(String secret) throws Exception {
    return new TimeBasedOneTimePasswordGenerator()
        .generateOneTimePasswordString(
            new SecretKeySpec(new Base32().decode(secret.replace(" ", "")), "HmacSHA1"),
            Instant.now().plusSeconds(30));
  }

  private static void password(Page window, String login) {
    window.navigate(desk.address + "/sign-in");
    window.fill("#username", login);
    window.fill("#password", WORD);
    window.keyboard().press("Enter");
  }

  private static void code(Page window, String code) {
    window.fill("#code", code);
    window.keyboard().press("Enter");
  }

  /** Sets it up with the device, and returns the first spare code. */
  private static String setUp(Page window) throws Exception {
    window.waitForSelector(".secret");
    code(window, "000000");
    window.waitForSelector(".wrong:has-text('not the code it shows now')");
    code(window, shown(window.textContent(".secret")));
    window.waitForSelector(".spare");
    assertThat(window.locator(".spare li").count()).isEqualTo(8);
    return window.textContent(".spare li");
  }

  @Test
  void once_it_is_on_the_password_alone_lets_nobody_in() throws Exception {
    Page window = desk.signedIn(someone("dora"), WORD);
    window.navigate(desk.address + "/me/second");
    String spare = setUp(window);
    window.context().close();

    Page next = desk.window();
    password(next, "dora");
    next.waitForURL("**/sign-in/code");
    next.navigate(desk.address + "/goods");
    assertThat(next.url()).as("half in is not in").endsWith("/sign-in");
    password(next, "dora");
    next.waitForURL("**/sign-in/code");
    code(next, "123456");
    next.waitForSelector(".wrong:has-text('not the code it shows now')");
    code(next, spare);
    next.waitForURL("**/goods*");
    next.context().close();

    Page third = desk.window();
    password(third, "dora");
    third.waitForURL("**/sign-in/code");
    code(third, spare);
    third.waitForSelector(".wrong");
    third.context().close();
  }

  @Test
  void of_whom_it_is_demanded_sets_it_up_before_anything_else() throws Exception {
    someone("enid");
    page.navigate(desk.address + "/setup/people");
    page.check("form[action='/setup/people/second'] [value=READER]");
    page.click("form[action='/setup/people/second'] button");
    page.waitForSelector(".told:has-text('Kept')");
    Page window = desk.window();
    password(window, "enid");
    window.waitForURL("**/me/second");
    window.navigate(desk.address + "/goods");
    assertThat(window.url()).endsWith("/me/second");
    setUp(window);
    window.navigate(desk.address + "/goods");
    assertThat(window.url()).endsWith("/goods");
    window.navigate(desk.address + "/me/second");
    assertThat(window.locator("form[action='/me/second/off']").count()).isZero();
    window.context().close();
  }

  @Test
  void who_has_lost_the_device_is_let_in_without_by_the_owner() throws Exception {
    Page window = desk.signedIn(someone("fay"), WORD);
    window.navigate(desk.address + "/me/second");
    setUp(window);
    window.context().close();
    page.navigate(desk.address + "/setup/people");
    page.onceDialog(com.microsoft.playwright.Dialog::accept);
    page.locator("tr:has(td:text-is('fay')) button:has-text('Without code')").click();
    page.waitForSelector(".told:has-text('password alone')");
    assertThat(desk.signedIn("fay", WORD).url()).isEqualTo(desk.address + "/");
    assertThat(
            desk.sql()
                .sql("select count(*) from audit where what = 'turned the second step off'")
                .query(Long.class)
                .single())
        .isEqualTo(1);
  }

  @Test
  void who_knows_the_password_cannot_guess_codes_for_ever() throws Exception {
    Page window = desk.signedIn(someone("gwen"), WORD);
    window.navigate(desk.address + "/me/second");
    setUp(window);
    window.context().close();
    Page thief = desk.window();
    for (int tries = 0; tries < 6 && !thief.url().contains("wait"); tries++) {
      password(thief, "gwen");
      thief.waitForSelector("#code, .wrong");
      if (thief.url().contains("/sign-in/code")) {
        code(thief, "123456");
        thief.waitForSelector(".wrong");
      }
    }
    assertThat(thief.textContent(".wrong")).startsWith("Too many wrong");
    thief.context().close();
  }
}
