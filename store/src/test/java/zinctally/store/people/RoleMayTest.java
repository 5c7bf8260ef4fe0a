package zinctally.store.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.FreshBook;
import zinctally.store.Refused;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;
import zinctally.store.posting.Voiding;

/** What the owner lets the counter do holds when it is proved, and again when it is posted. */
class RoleMayTest {
  private static final Map<String, String> HEAD =
      Map.of("date", "2026-03-01", "customer", "Fenwick Garden", "place", "Store");
  private static FreshBook book;

  @BeforeAll
  static void open() {
    book = new FreshBook();
    book.get(PeopleStore.class).add("owner", "Owner", "-", Person.Role.OWNER);
    book.get(PeopleStore.class).add("till", "Till", "-", Person.Role.COUNTER);
    book.item("JAR", "FIFO");
    book.bill("2026-01-10", "JAR", "100", "0.80");
    book.sql()
        .sql(
            "insert into item_price (item_id, list_id, price)"
                + " select i.id, min(l.id), 1.20 from item i, price_list l where i.code = 'JAR'")
        .update();
    book.sql().sql("update price_list set with_tax = true").update();
  }

  @AfterAll
  static void close() {
    book.close();
  }

  private static RoleMay roles() {
    return book.get(RoleMay.class);
  }

  private static void counter(String discount, boolean changes) {
    Allowed selling = new Allowed(false, new BigDecimal(discount), false, false);
    roles().give(Person.Role.COUNTER, new RoleMay.Given(false, false, selling, changes), "owner");
  }

  private static Draft jars(String price) {
    return new Draft(
        PaperKind.INVOICE,
        HEAD,
        List.of(Map.of("item", "JAR", "quantity", "10", "price", price, "tax", "S")));
  }

  private static long post(Draft draft, String login) {
    return book.get(Posting.class).post(book.get(DraftStore.class).begin(draft, login), login);
  }

  @Test
  void a_new_book_begins_carefully() {
    assertThat(roles().of(Person.Role.READER).ledger()).isTrue();
    assertThat(roles().of(Person.Role.OWNER)).isEqualTo(RoleMay.Given.ALL);
    assertThat(roles().of("nobody")).isEqualTo(RoleMay.Given.ALL);
    try (FreshBook fresh = new FreshBook()) {
      RoleMay.Given counter = fresh.get(RoleMay.class).of(Person.Role.COUNTER);
      assertThat(counter.costs()).isFalse();
      assertThat(counter.changes()).isFalse();
      assertThat(counter.selling().anyPrice()).isFalse();
      assertThat(counter.selling().discount()).isEqualByComparingTo("0");
    }
  }

  /** The list says 1.20 with 20 % tax, which is 1.00 without; a tenth off is 9.00 for ten. */
  @Test
  void under_the_list_less_what_may_come_off_nothing_is_posted() {
    counter("10", false);
    long before = papers();
    assertThat(book.get(Proving.class).prove(jars("0.89"), 0, "till").faults())
        .extracting(f -> f.says())
        .containsExactly("9.00 at least: 10 % off the list is yours to give.");
    assertThatThrownBy(() -> post(jars("0.89"), "till")).isInstanceOf(Refused.class);
    assertThat(papers()).isEqualTo(before);
    assertThat(post(jars("0.90"), "till")).isPositive();
    assertThat(post(jars("0.89"), "owner")).isPositive();
  }

  /** 1.00 with tax is offered as 0.8333 without; rounded for each piece, it is what is held. */
  @Test
  void the_price_that_is_offered_is_never_too_low_however_many_are_sold() {
    counter("0", false);
    book.item("LID", "FIFO");
    book.bill("2026-01-10", "LID", "1000", "0.10");
    book.sql()
        .sql(
            "insert into item_price (item_id, list_id, price)"
                + " select i.id, min(l.id), 1.00 from item i, price_list l where i.code = 'LID'")
        .update();
    Map<String, String> row =
        Map.of("item", "LID", "quantity", "1000", "price", "0.8333", "tax", "S");
    assertThat(post(new Draft(PaperKind.INVOICE, HEAD, List.of(row)), "till")).isPositive();
  }

  @Test
  void a_role_of_which_nothing_is_kept_may_nothing_and_the_ledger_is_not_given_without_costs() {
    book.sql().sql("delete from role_may where role = 'COUNTER'").update();
    try {
      assertThat(roles().of("till").changes()).isFalse();
      assertThat(roles().of("till").costs()).isFalse();
    } finally {
      book.sql()
          .sql(
              "insert into role_may values ('COUNTER', false, false, false, 0, false, false, false)")
          .update();
    }
    assertThatThrownBy(() -> new RoleMay.Given(false, true, Allowed.ALL, false))
        .hasMessageContaining("ledger");
  }

  @Test
  void under_cost_is_refused_to_who_may_not() {
    counter("50", false);
    assertThatThrownBy(() -> post(jars("0.79"), "till"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("under its cost");
    assertThat(post(jars("0.79"), "owner")).isPositive();
  }

  @Test
  void what_is_posted_is_changed_and_voided_only_by_who_may() {
    counter("10", false);
    long paper = post(jars("1.00"), "till");
    Voiding voiding = book.get(Voiding.class);
    LocalDate day = LocalDate.of(2026, 3, 1);
    assertThat(book.get(Proving.class).proveVoid(paper, day, "till").faults()).hasSize(1);
    assertThatThrownBy(() -> voiding.voidPaper(paper, day, "", "till")).isInstanceOf(Refused.class);
    long amended = book.get(DraftStore.class).begin(jars("1.10"), paper, 1, "till");
    assertThatThrownBy(() -> book.get(Posting.class).post(amended, "till"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("not yours to do");
    counter("10", true);
    book.get(Posting.class).post(amended, "till");
    voiding.voidPaper(paper, day, "", "till");
  }

  @Test
  void what_was_given_before_and_after_is_in_the_audit_trail() {
    counter("5", false);
    counter("7.5", false);
    assertThat(
            book.sql()
                .sql(
                    "select concat(before_text, ' -> ', after_text) from audit"
                        + " where subject = 'role' order by id desc limit 1")
                .query(String.class)
                .single())
        .isEqualTo("discount up to 5 % -> discount up to 7.5 %");
  }

  private static long papers() {
    return book.sql().sql("select count(*) from paper").query(Long.class).single();
  }
}
