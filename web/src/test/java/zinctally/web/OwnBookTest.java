package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.springframework.security.crypto.password.PasswordEncoder;
import zinctally.core.number.Coin;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.check.CheckRuns;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.paper.DraftStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.posting.Posting;

/**
 * An empty book of one's own, and what hands at the keyboard do with it; in the end it must hold.
 */
abstract class OwnBookTest {
  private static final String WORD = "a long enough word";
  static Desk desk;
  static Page page;

  @BeforeAll
  static void open() {
    desk = new Desk("own");
    desk.get(BookStore.class)
        .save("Wickmere Bee Yard", Coin.of("EUR"), LocalDate.of(2026, 1, 1), false, false);
    String hash = desk.get(PasswordEncoder.class).encode(WORD);
    desk.get(PeopleStore.class).add("owner", "Owner", hash, Person.Role.OWNER);
    desk.get(PeopleStore.class).add("bookkeeper", "Bookkeeper", hash, Person.Role.BOOKKEEPER);
    desk.get(CheckRuns.class).run("start");
    page = desk.signedIn("owner", WORD);
  }

  @AfterAll
  static void close() {
    assertThat(desk.get(CheckStore.class).findings()).allMatch(Finding::holds);
    desk.close();
  }

  static void item(String code, String method, String tracking) {
    desk.sql()
        .sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, tracking)
            select next value for item_id, ?, ?, 'STOCKED', min(id), ?, 'H87', ? from item_group
            """)
        .params(code, "Item " + code, method, tracking)
        .update();
  }

  static void sell(String date, String code, String quantity, String... more) {
    long draft =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.INVOICE,
                    Map.of("date", date, "customer", "Fenwick Garden", "place", "Store"),
                    List.of(row(more, "item", code, "quantity", quantity, "price", "9.00"))),
                "owner");
    desk.get(Posting.class).post(draft, "owner");
  }

  static void receive(String code, String date, String quantity, String price, String... more) {
    long draft =
        desk.get(DraftStore.class)
            .begin(
                new Draft(
                    PaperKind.RECEIPT,
                    Map.of("date", date, "supplier", "Orrin Joinery", "place", "Store"),
                    List.of(row(more, "item", code, "quantity", quantity, "price", price))),
                "owner");
    desk.get(Posting.class).post(draft, "owner");
  }

  private static Map<String, String> row(String[] more, String... cells) {
    Map<String, String> row = new HashMap<>();
    for (String[] some : List.of(cells, more))
      for (int i = 0; i < some.length; i += 2) row.put(some[i], some[i + 1]);
    return row;
  }

  static void begin(String key) {
    page.navigate(desk.address + "/");
    page.keyboard().press("n");
    page.keyboard().press(key);
    page.waitForURL("**/drafts/*");
    // what is typed before a cell has the focus would be taken for keys
    page.waitForCondition(
        () ->
            (Boolean)
                page.evaluate("document.activeElement.matches('#paper input, #paper select')"));
  }

  static void type(String... cells) {
    for (String cell : cells) {
      page.keyboard().type(cell);
      page.keyboard().press("Enter");
    }
  }

  static void takeAll() {
    page.waitForSelector(".take");
    page.keyboard().press("Alt+a");
    page.waitForURL("**at=*");
  }

  /** Posts once the proof is sound and holds all of these, and returns the paper's number. */
  static String post(String... proofHolds) {
    try {
      page.waitForCondition(
          () -> {
            String proof = page.textContent("#proof");
            return proof.contains("balances") && Stream.of(proofHolds).allMatch(proof::contains);
          });
    } catch (TimeoutError never) {
      throw new AssertionError(page.textContent("#proof").replaceAll("\\s+", " "), never);
    }
    page.keyboard().press("Control+Enter");
    page.waitForURL("**/papers/*");
    return page.textContent("main h1 span").strip();
  }

  static long worth(String code) {
    return desk.sql()
        .sql("select h.worth from cost_pool h join item i on i.id = h.item_id where i.code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  static long booked(String role, String code) {
    return desk.sql()
        .sql(
            """
            select coalesce(sum(l.amount), 0) from journal_line l
            join account a on a.id = l.account_id join item i on i.id = l.item_id
            where a.role = ? and i.code = ?
            """)
        .params(role, code)
        .query(Long.class)
        .single();
  }

  static long ofPaper(String role, String number) {
    return desk.sql()
        .sql(
            """
            select coalesce(sum(l.amount), 0) from paper p join journal j on j.paper_id = p.id
            join journal_line l on l.journal_id = j.id join account a on a.id = l.account_id
            where a.role = ? and p.number = ?
            """)
        .params(role, number)
        .query(Long.class)
        .single();
  }
}
