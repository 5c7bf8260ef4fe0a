package zinctally.store.parties;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.money.OpenItem;
import zinctally.store.FreshBook;
import zinctally.store.book.Catalogues;
import zinctally.store.book.SetUp;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.parties.MergeStore.Named;

/** Suppliers and customers that turn out to be one. */
class MergeTest {
  static final FreshBook book = new FreshBook();
  private static MergeStore parties;

  @BeforeAll
  static void goods() {
    parties = book.get(MergeStore.class);
    book.item("WAX", "FIFO");
    book.bill("2026-01-02", "WAX", "100", "1.00");
  }

  @AfterAll
  static void close() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private static long from(String who, PaperKind kind, String date, String quantity) {
    return book.paper(
        kind,
        date,
        Map.of(kind.side().orElseThrow().field(), who),
        "item quantity price",
        "WAX",
        quantity,
        "2.00");
  }

  private static long repair(PaperKind kind, String date, String who, String quantity) {
    return book.paper(
        kind, date, Map.of("customer", who, "repairer", who), "item quantity", "WAX", quantity);
  }

  @Test
  void goods_of_one_and_goods_at_one_are_the_others_then() {
    repair(PaperKind.TAKEN_IN, "2026-03-01", "Hedge Farm", "2");
    repair(PaperKind.TAKEN_IN, "2026-03-02", "Hedge Farm Ltd", "3");
    long first = repair(PaperKind.REPAIR_OUT, "2026-03-03", "Mill Repairs", "1");
    repair(PaperKind.REPAIR_OUT, "2026-03-03", "Mill Repairs Ltd", "4");
    merge(Party.Kind.CUSTOMER, "Hedge Farm", "Hedge Farm Ltd");
    merge(Party.Kind.SUPPLIER, "Mill Repairs", "Mill Repairs Ltd");
    assertThat(
            book.sql()
                .sql(
                    "select concat(p.name, ' ', s.quantity div 1000000) from place p"
                        + " join place_stock s on s.place_id = p.id"
                        + " where p.owner_id is not null or p.host_id is not null order by p.name")
                .query(String.class)
                .list())
        .containsExactly("Mill Repairs Ltd 5", "Store, of Hedge Farm Ltd 5");
    repair(PaperKind.GIVEN_BACK, "2026-03-04", "Hedge Farm", "5");
    book.paper(
        PaperKind.REPAIR_BACK,
        "2026-03-05",
        Map.of("repair", book.number(first), "into", "Store"),
        "item quantity",
        "WAX",
        "1");
  }

  private static void merge(Party.Kind kind, String from, String into) {
    Named one = parties.named(kind, from).orElseThrow();
    Optional<Named> other = parties.named(kind, into);
    assertThat(parties.refusal(one, other, into)).isEmpty();
    book.get(SetUp.class)
        .alone(
            () -> {
              parties.merge(one, other.orElseThrow(), "tester");
              return null;
            });
  }

  private static List<Long> open(Party.Kind kind, String name) {
    var catalogue = book.get(Catalogues.class).open();
    long party = catalogue.party(kind, name).orElseThrow().id();
    return catalogue.openItems(party).stream().map(OpenItem::open).toList();
  }

  @Test
  void papers_and_what_is_open_move_and_no_figure_of_any_day_changes() {
    long bill = from("Pell Wax", PaperKind.BILL, "2026-02-01", "10");
    from("Pell Wax Ltd", PaperKind.BILL, "2026-02-02", "5");
    from("Pell Wax", PaperKind.PURCHASE_ORDER, "2026-02-03", "7");
    var before = book.figures();
    merge(Party.Kind.SUPPLIER, "Pell Wax", "Pell Wax Ltd");
    assertThat(book.figures()).isEqualTo(before);
    assertThat(open(Party.Kind.SUPPLIER, "Pell Wax Ltd")).containsExactly(-2000L, -1000L);
    assertThat(open(Party.Kind.SUPPLIER, "pell wax")).containsExactly(-2000L, -1000L);
    book.paper(
        PaperKind.SUPPLIER_PAYMENT,
        "2026-02-10",
        Map.of("supplier", "Pell Wax", "amount", "20.00", "money", "1000 Bank"),
        "paper amount",
        book.number(bill),
        "20.00");
    assertThat(open(Party.Kind.SUPPLIER, "Pell Wax Ltd")).containsExactly(-1000L);
    long order =
        book.sql()
            .sql("select max(id) from paper where kind = 'PURCHASE_ORDER'")
            .query(Long.class)
            .single();
    book.paper(
        PaperKind.RECEIPT,
        "2026-02-11",
        Map.of("supplier", "Pell Wax Ltd"),
        "of item quantity price",
        book.number(order),
        "WAX",
        "7",
        "2.00");
    assertThat(book.awaited("ORDERED_GOODS", "WAX")).isZero();
    assertThat(book.figures()).isNotEqualTo(before);
  }

  @Test
  void what_was_posted_in_a_name_that_went_can_still_be_amended_and_voided() {
    long invoice = from("Ridge Keepers", PaperKind.INVOICE, "2026-03-02", "1");
    long other = from("Ridge Keepers", PaperKind.INVOICE, "2026-03-03", "1");
    from("Ridgeway Keepers", PaperKind.INVOICE, "2026-03-04", "1");
    merge(Party.Kind.CUSTOMER, "Ridge Keepers", "Ridgeway Keepers");
    book.amend(
        invoice,
        PaperKind.INVOICE,
        Map.of("date", "2026-03-02", "customer", "Ridge Keepers", "place", "Store"),
        FreshBook.rows("WAX", "1", "3.00"));
    book.voidOn("2026-03-05", other);
    assertThat(open(Party.Kind.CUSTOMER, "Ridgeway Keepers")).containsExactly(300L, 200L);
  }

  @Test
  void names_lead_over_two_steps_to_the_one_that_stays() {
    for (String name : List.of("Tarn A", "Tarn B", "Tarn C"))
      from(name, PaperKind.INVOICE, "2026-04-02", "1");
    merge(Party.Kind.CUSTOMER, "Tarn A", "Tarn B");
    merge(Party.Kind.CUSTOMER, "Tarn B", "Tarn C");
    Named stays = parties.named(Party.Kind.CUSTOMER, "Tarn C").orElseThrow();
    assertThat(parties.named(Party.Kind.CUSTOMER, "Tarn A")).contains(stays);
    assertThat(parties.namesOf(stays.id())).containsExactly("Tarn A", "Tarn B");
    assertThat(open(Party.Kind.CUSTOMER, "Tarn A")).containsExactly(200L, 200L, 200L);
    from("tarn a", PaperKind.INVOICE, "2026-04-03", "1");
    assertThat(parties.has(stays.id()).papers()).isEqualTo(4);
  }

  @Test
  void what_cannot_be_merged_is_refused_with_what_would_be_right() {
    from("Lone Hive", PaperKind.INVOICE, "2026-05-02", "1");
    Named lone = parties.named(Party.Kind.CUSTOMER, "Lone Hive").orElseThrow();
    assertThat(parties.refusal(lone, Optional.of(lone), "lone hive"))
        .contains("That is the same customer; choose the other one.");
    assertThat(parties.refusal(lone, Optional.empty(), "Nobody"))
        .contains("There is no customer called \"Nobody\"; choose one of those there are.");
  }
}
