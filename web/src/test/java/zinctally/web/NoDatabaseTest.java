package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.sql.SQLException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** While the database does not answer. */
class NoDatabaseTest extends OwnBookTest {
  private static HikariDataSource database() {
    return desk.get(HikariDataSource.class);
  }

  /** No new connection is made, and those there are end. */
  private static void lose() {
    database().getHikariConfigMXBean().setPassword("not this");
    HikariPoolMXBean pool = database().getHikariPoolMXBean();
    page.waitForCondition(
        () -> {
          pool.softEvictConnections();
          try (var one = database().getConnection()) {
            return false;
          } catch (SQLException gone) {
            return true;
          }
        });
  }

  @AfterEach
  void itAnswersAgain() {
    database().getHikariConfigMXBean().setPassword(System.getenv("ZINC_DB_APP_PASSWORD"));
  }

  private static void kept(String says) {
    page.waitForCondition(() -> page.textContent("#kept").startsWith(says));
  }

  @Test
  void what_is_typed_stays_and_is_kept_by_itself_once_it_answers_again() {
    begin("b");
    kept("draft, kept");
    lose();
    page.keyboard().type("Orrin Joinery");
    page.keyboard().press("Enter");
    kept("not kept yet: the database does not answer");
    page.fill("[data-cell='date']", "2026-03-04");
    page.keyboard().press("Enter");
    itAnswersAgain();
    kept("draft, kept");
    desk.forgive();
    page.reload();
    assertThat(page.inputValue("[data-cell='date']")).isEqualTo("2026-03-04");
    assertThat(page.inputValue("[data-cell='supplier']")).isEqualTo("Orrin Joinery");
  }

  @Test
  void a_disk_without_room_is_said_where_she_types_and_what_she_typed_is_kept_later() {
    begin("b");
    kept("draft, kept");
    page.route(
        "**/save", save -> save.fulfill(new Route.FulfillOptions().setStatus(507).setBody("full")));
    page.keyboard().type("Orrin Joinery");
    page.keyboard().press("Enter");
    kept("not kept yet: the disk is full");
    page.unroute("**/save");
    kept("draft, kept");
    desk.forgive();
    page.reload();
    assertThat(page.inputValue("[data-cell='supplier']")).isEqualTo("Orrin Joinery");
  }

  @Test
  void a_page_says_so_looks_like_the_others_and_comes_by_itself() {
    lose();
    Page window = desk.another(page);
    window.navigate(desk.address + "/goods");
    assertThat(window.textContent("h1")).isEqualTo("The database does not answer");
    assertThat((String) window.evaluate("getComputedStyle(document.body).fontFamily"))
        .contains("Public Sans");
    itAnswersAgain();
    window.waitForSelector("h1:has-text('Items')");
    desk.forgive();
    window.close();
  }

  @Test
  void it_is_told_apart_from_a_fault_of_the_program() {
    lose();
    APIResponse answer = page.request().get(desk.address + "/goods");
    assertThat(answer.status()).isEqualTo(503);
    assertThat(answer.headers()).containsEntry("retry-after", "5");
    assertThat(answer.text()).doesNotContain("Exception");
  }
}
