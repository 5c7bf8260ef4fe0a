package zinctally.store.parties;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.FreshBook;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.parties.MergeStore.Named;
import zinctally.store.sell.CustomerStore;

/** What is kept about a person, and what is left when it is taken out. */
class PersonTest {
  static final FreshBook book = new FreshBook();
  private static PersonStore persons;

  @BeforeAll
  static void goods() {
    book.get(BookStore.class)
        .save("Test book", Coin.of("EUR"), LocalDate.of(2015, 1, 1), false, false);
    persons = book.get(PersonStore.class);
    book.item("WAX", "FIFO");
    book.bill("2015-01-02", "WAX", "100", "1.00");
  }

  @AfterAll
  static void close() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  /** Sells to somebody of whom much is known. */
  private static Named customer(String name, String date) {
    book.paper(
        PaperKind.INVOICE,
        date,
        Map.of("customer", name, "address", "Lane End 3, for " + name),
        "item quantity price",
        "WAX",
        "1",
        "2.00");
    long id = named(name).id();
    book.get(CustomerStore.class)
        .save(
            new CustomerStore.Card(
                id,
                name,
                30,
                0,
                BigDecimal.ZERO,
                null,
                0,
                "Mill Lane 1",
                "Lane End 3",
                "tilda@mill.example",
                "0555 0101",
                "TX-17",
                "likes heather honey",
                "en",
                true),
            "tester");
    return named(name);
  }

  private static Named named(String name) {
    return book.get(MergeStore.class).named(Party.Kind.CUSTOMER, name).orElseThrow();
  }

  private static void pay(String name, String date) {
    book.paper(
        PaperKind.CUSTOMER_PAYMENT,
        date,
        Map.of("customer", name, "amount", "2.00", "money", "1000 Bank"),
        "paper amount",
        book.number(
            book.sql()
                .sql("select max(id) from paper where kind = 'INVOICE'")
                .query(Long.class)
                .single()),
        "2.00");
  }

  private static void erase(Named who) {
    assertThat(persons.refusal(who)).isEmpty();
    book.get(SetUp.class)
        .alone(
            () -> {
              persons.erase(who, "tester");
              return null;
            });
  }

  private static String all(long id) {
    return Stream.of(PersonStore.Part.values())
        .map(part -> part + " " + persons.rows(part, id))
        .collect(Collectors.joining(", "));
  }

  @Test
  void all_that_is_kept_about_a_person_is_handed_out() {
    Named tilda = customer("Tilda Marsh", "2016-02-01");
    pay("Tilda Marsh", "2016-02-02");
    for (PersonStore.Part part : PersonStore.Part.values())
      assertThat(persons.count(part, tilda.id())).isEqualTo(persons.rows(part, tilda.id()).size());
    assertThat(all(tilda.id()))
        .contains("tilda@mill.example", "0555 0101", "TX-17", "likes heather honey")
        .contains("Lane End 3, for Tilda Marsh", "CUSTOMER_PAYMENT");
  }

  @Test
  void while_papers_must_be_kept_only_what_they_do_not_show_goes_and_no_figure_changes() {
    Named odo = customer("Odo Finch", "2020-02-01");
    assertThat(persons.refusal(odo)).hasValueSatisfying(r -> assertThat(r).contains("open (1)"));
    pay("Odo Finch", "2020-03-01");
    var before = book.figures();
    erase(odo);
    assertThat(book.figures()).isEqualTo(before);
    assertThat(persons.state(odo.id()).papersUntil()).isEqualTo("2030-12-31");
    assertThat(all(odo.id()))
        .doesNotContain("tilda@mill.example", "0555 0101", "likes heather honey")
        .contains("Odo Finch", "Mill Lane 1", "TX-17", "Lane End 3, for Odo Finch");
    assertThat(persons.rows(PersonStore.Part.CHANGES, odo.id()))
        .hasSize(2)
        .anySatisfy(r -> assertThat(r).containsEntry("what", "erased"))
        .allSatisfy(r -> assertThat(r.get("before_text")).isNull());
  }

  @Test
  void once_papers_need_not_be_kept_no_name_and_no_address_is_left() {
    Named jory = customer("Jory Penn", "2015-05-01");
    pay("Jory Penn", "2015-06-01");
    var before = book.figures();
    assertThat(persons.state(jory.id()).papersKept(LocalDate.of(2025, 12, 31))).isTrue();
    assertThat(persons.state(jory.id()).papersKept(LocalDate.of(2026, 1, 1))).isFalse();
    erase(jory);
    assertThat(book.figures()).isEqualTo(before);
    assertThat(all(jory.id()))
        .contains("Erased " + jory.id(), "2.00")
        .doesNotContain("Jory", "Mill Lane", "Lane End", "TX-17");
    assertThat(
            book.sql()
                .sql("select count(*) from draft where text like '%Jory%'")
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  void where_goods_of_somebody_were_no_name_is_left_either() {
    Named who = customer("Orla Pike", "2015-04-01");
    Map<String, String> head = Map.of("customer", "Orla Pike");
    book.paper(PaperKind.TAKEN_IN, "2015-04-02", head, "item quantity", "WAX", "1");
    long out =
        book.paper(
            PaperKind.REPAIR_OUT,
            "2015-04-03",
            Map.of("place", "Store, of Orla Pike"),
            "item quantity",
            "WAX",
            "1");
    book.paper(
        PaperKind.REPAIR_BACK,
        "2015-04-04",
        Map.of("repair", book.number(out), "into", "Store"),
        "item quantity",
        "WAX",
        "1");
    book.paper(PaperKind.GIVEN_BACK, "2015-04-05", head, "item quantity", "WAX", "1");
    pay("Orla Pike", "2015-04-06");
    erase(who);
    assertThat(places()).doesNotContain("Orla Pike");
  }

  @Test
  void where_goods_of_ours_were_with_somebody_no_name_is_left_either() {
    Named who = customer("Peer Holt", "2015-04-01");
    Map<String, String> head = Map.of("customer", "Peer Holt");
    book.paper(PaperKind.CONSIGNMENT_OUT, "2015-04-02", head, "item quantity", "WAX", "2");
    book.paper(
        PaperKind.TRANSFER,
        "2015-04-03",
        Map.of("place", "At Peer Holt", "into", "Store"),
        "item quantity",
        "WAX",
        "2");
    book.paper(PaperKind.TAKEN_IN, "2015-04-04", head, "item quantity", "WAX", "1");
    book.paper(
        PaperKind.TRANSFER,
        "2015-04-05",
        Map.of("place", "Store, of Peer Holt", "standing", "Damaged"),
        "item quantity",
        "WAX",
        "1");
    book.paper(
        PaperKind.TRANSFER,
        "2015-04-05",
        Map.of("place", "Store, damaged, of Peer Holt", "into", "Store, of Peer Holt"),
        "item quantity",
        "WAX",
        "1");
    book.paper(PaperKind.GIVEN_BACK, "2015-04-06", head, "item quantity", "WAX", "1");
    pay("Peer Holt", "2015-04-06");
    erase(who);
    assertThat(places()).doesNotContain("Peer Holt");
  }

  /** All names of places there are, and all places typed. */
  private static String places() {
    return book.sql()
        .sql(
            "select (select group_concat(name) from place),"
                + " (select group_concat(text) from paper_version)")
        .query((row, n) -> row.getString(1) + row.getString(2))
        .single();
  }

  @Test
  void the_database_takes_nothing_out_of_what_is_only_added_to_unless_the_card_says_so() {
    Named wim = customer("Wim Harrow", "2015-07-01");
    assertThatThrownBy(() -> book.sql().sql("call erase_person(?)").param(wim.id()).update())
        .hasMessageContaining("only what is marked as erased");
    assertThat(all(wim.id())).contains("likes heather honey");
  }

  @Test
  void drafts_that_name_somebody_are_dealt_with_first() {
    Named lin = customer("Lin Alder", "2021-01-05");
    pay("Lin Alder", "2021-01-06");
    long draft = book.draft(PaperKind.INVOICE, Map.of("customer", "Lin Alder"), List.of());
    assertThat(persons.refusal(lin)).hasValueSatisfying(r -> assertThat(r).contains("Drafts"));
    book.sql().sql("delete from draft where id = ?").param(draft).update();
    assertThat(persons.refusal(lin)).isEmpty();
  }
}
