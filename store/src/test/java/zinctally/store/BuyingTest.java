package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.OrderListings;
import zinctally.store.paper.ChainStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.posting.Ordering;
import zinctally.store.prove.PeriodStore;

/** Orders, receipts and bills in every order in which they come. All figures by hand. */
class BuyingTest extends OneBookTest {
  private static long booked(String role, String code, String day) {
    return book.booked(role, code, day);
  }

  private static long paper(
      PaperKind kind, String date, Map<String, String> more, String columns, String... cells) {
    return book.paper(kind, date, more, columns, cells);
  }

  private static String order(String date, String... itemQuantityPrice) {
    return book.number(
        paper(PaperKind.PURCHASE_ORDER, date, Map.of(), "item quantity price", itemQuantityPrice));
  }

  private static String receipt(String date, String... ofItemQuantity) {
    return book.number(
        paper(PaperKind.RECEIPT, date, Map.of(), "of item quantity", ofItemQuantity));
  }

  private static long bill(String date, String... ofItemQuantityPrice) {
    return paper(PaperKind.BILL, date, Map.of(), "of item quantity price", ofItemQuantityPrice);
  }

  private static long awaited(String what, String code) {
    return book.awaited(what, code);
  }

  /**
   * 10 ordered at 5.00. 4 come, then 6: 50.00. 5 are sold for 25.00. The bill asks 5.60 for all:
   * 6.00 more, 2.40 of it for the first four and 3.60 for the next six. All of the first four are
   * sold and one of the six: 2.40 + 0.60 = 3.00 goes to cost of goods sold, 3.00 stays with five:
   * 28.00.
   */
  @Test
  void one_bill_for_two_receipts_of_an_order_puts_right_goods_here_and_goods_sold() {
    book.item("ORD", "FIFO");
    String order = order("2026-02-01", "ORD", "10", "5.00");
    assertThat(awaited("ORDERED_GOODS", "ORD")).isEqualTo(10_000_000);
    receipt("2026-02-05", order, "ORD", "4");
    receipt("2026-02-08", order, "ORD", "6");
    assertThat(awaited("ORDERED_GOODS", "ORD")).isZero();
    assertThat(booked("RECEIVED_NOT_BILLED", "ORD", "2026-02-28")).isEqualTo(-5000);
    book.invoice("2026-02-10", "ORD", "5", "9.00");
    Map<LocalDate, String> before = book.figures();
    long bill = bill("2026-02-20", order, "ORD", "10", "5.60");
    assertThat(book.worth("ORD")).isEqualTo(2800);
    assertThat(booked("COST_OF_GOODS_SOLD", "ORD", "2026-02-19")).isEqualTo(2500);
    assertThat(booked("COST_OF_GOODS_SOLD", "ORD", "2026-02-20")).isEqualTo(2800);
    assertThat(booked("RECEIVED_NOT_BILLED", "ORD", "2026-02-20")).isZero();
    assertThat(awaited("ORDERED_BILL", "ORD")).isZero();
    assertThat(book.get(ChainStore.class).of(bill).stream().map(ChainStore.Step::kind))
        .containsExactly("Purchase order", "Receipt", "Receipt", "Supplier bill");
    paper(
        PaperKind.SUPPLIER_PAYMENT,
        "2026-02-21",
        Map.of("money", "1000", "amount", "5.00"),
        "paper amount",
        book.number(bill),
        "5.00");
    assertThat(book.get(ChainStore.class).of(bill).get(4).kind()).isEqualTo("Payment to supplier");
    long paid = book.get(ChainStore.class).of(bill).get(4).id();
    assertThat(book.get(ChainStore.class).of(paid)).hasSize(1);
    book.voidOn("2026-02-21", paid);
    assertThat(book.get(ChainStore.class).of(bill)).hasSize(4);
    book.voidOn("2026-02-20", bill);
    assertThat(book.figures()).isEqualTo(before);
  }

  /**
   * The bill is of the 1st, the goods came on the 5th: what it asks more is theirs from then on.
   */
  @Test
  void a_bill_dated_before_its_receipt_changes_no_worth_before_the_goods_are_here() {
    book.item("EARLY", "AVERAGE");
    String receipt =
        book.number(
            paper(
                PaperKind.RECEIPT,
                "2026-03-05",
                Map.of(),
                "item quantity price",
                "EARLY",
                "10",
                "2.00"));
    bill("2026-03-01", receipt, "EARLY", "10", "2.30");
    assertThat(book.worth("EARLY")).isEqualTo(2300);
    assertThat(booked("STOCK", "EARLY", "2026-03-04")).isZero();
    assertThat(booked("RECEIVED_NOT_BILLED", "EARLY", "2026-03-04")).isEqualTo(2300);
    assertThat(booked("RECEIVED_NOT_BILLED", "EARLY", "2026-03-05")).isZero();
  }

  /** 12 billed at 3.00 before they come; 5 come, then 7: each at 3.00, nothing left over. */
  @Test
  void a_bill_that_comes_first_is_an_asset_until_its_goods_come() {
    book.item("FIRST", "FIFO");
    long bill =
        paper(
            PaperKind.BILL,
            "2026-03-01",
            Map.of("goods", "later"),
            "item quantity price",
            "FIRST",
            "12",
            "3.00");
    assertThat(booked("BILLED_NOT_RECEIVED", "FIRST", "2026-03-31")).isEqualTo(3600);
    assertThat(book.get(PeriodStore.class).unsettled(LocalDate.of(2026, 3, 1)))
        .anyMatch(u -> u.what().equals("Billed, not received is not empty") && u.amount() >= 3600);
    receipt("2026-03-10", book.number(bill), "FIRST", "5");
    assertThat(book.worth("FIRST")).isEqualTo(1500);
    String rest = receipt("2026-03-12", book.number(bill), "FIRST", "7");
    assertThat(book.worth("FIRST")).isEqualTo(3600);
    assertThat(booked("BILLED_NOT_RECEIVED", "FIRST", "2026-03-31")).isZero();
    assertThatThrownBy(() -> book.voidOn("2026-03-31", bill))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(rest)
        .hasMessageContaining("goes on from its line");
  }

  /** Unusual things are asked about, and pass when answered for exactly what is said. */
  @Test
  void more_than_was_ordered_is_asked_about_and_taken_when_answered() {
    book.item("OVER", "FIFO");
    String order = order("2026-02-01", "OVER", "10", "5.00");
    Map<String, String> fields =
        Map.of("date", "2026-02-03", "supplier", "Orrin Joinery", "place", "Store");
    List<Map<String, String>> rows = List.of(Map.of("of", order, "item", "OVER", "quantity", "12"));
    assertThatThrownBy(() -> book.post(PaperKind.RECEIPT, fields, rows))
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> {
              assertThat(refused.faults()).hasSize(1);
              assertThat(refused.faults().get(0).says()).contains("2 too many");
              assertThat(refused.faults().get(0).question()).isNotEmpty();
              Map<String, String> answered = new HashMap<>(fields);
              answered.put("agreed", refused.faults().get(0).question());
              book.post(PaperKind.RECEIPT, answered, rows);
            });
    assertThat(awaited("ORDERED_GOODS", "OVER")).isEqualTo(-2_000_000);
    assertThatThrownBy(() -> receipt("2026-01-31", order, "OVER", "1"))
        .hasMessageContaining("its goods cannot come before");
  }

  /** 10 received at 4.00; 3 go back before any bill; 7 are billed at 4.00: nothing is left over. */
  @Test
  void what_goes_back_before_its_bill_waits_for_no_bill_any_more() {
    book.item("BACKR", "FIFO");
    String receipt =
        book.number(
            paper(
                PaperKind.RECEIPT,
                "2026-03-05",
                Map.of(),
                "item quantity price",
                "BACKR",
                "10",
                "4.00"));
    paper(
        PaperKind.SUPPLIER_RETURN,
        "2026-03-07",
        Map.of(),
        "paper item quantity reason",
        receipt,
        "BACKR",
        "3",
        "Faulty");
    assertThat(booked("RECEIVED_NOT_BILLED", "BACKR", "2026-03-31")).isEqualTo(-2800);
    assertThat(booked("PRICE_DIFFERENCES", "BACKR", "2026-03-31")).isZero();
    long bill = bill("2026-03-09", receipt, "BACKR", "7", "4.00");
    assertThat(booked("RECEIVED_NOT_BILLED", "BACKR", "2026-03-31")).isZero();
    assertThat(book.worth("BACKR")).isEqualTo(2800);
    assertThatThrownBy(
            () ->
                paper(
                    PaperKind.SUPPLIER_RETURN,
                    "2026-03-10",
                    Map.of(),
                    "paper item quantity",
                    receipt,
                    "BACKR",
                    "1"))
        .hasMessageContaining("for the rest name the bill");
    long back =
        paper(
            PaperKind.SUPPLIER_RETURN,
            "2026-03-11",
            Map.of(),
            "paper item quantity",
            book.number(bill),
            "BACKR",
            "2");
    assertThat(book.worth("BACKR")).isEqualTo(2000);
    // 8.00 due; the credit note gives 7.00 and that is set against the bill's 28.00
    long credit =
        paper(
            PaperKind.SUPPLIER_CREDIT,
            "2026-03-20",
            Map.of("their_number", "CN-5"),
            "paper net",
            book.number(back),
            "7.00");
    assertThat(
            book.sql()
                .sql("select open from open_item where paper_id in (?, ?) order by id")
                .params(back, credit)
                .query(Long.class)
                .list())
        .containsExactly(0L, 700L);
    paper(
        PaperKind.SUPPLIER_PAYMENT,
        "2026-03-25",
        Map.of("money", "1000", "amount", "21.00"),
        "paper amount",
        book.number(bill),
        "28.00",
        "CN-5",
        "7.00");
    assertThat(
            book.sql()
                .sql("select sum(abs(open)) from open_item where paper_id in (?, ?, ?)")
                .params(back, credit, bill)
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  void the_same_goods_billed_again_and_the_same_number_again_are_asked_about() {
    book.item("TWICE", "FIFO");
    String receipt =
        book.number(
            paper(
                PaperKind.RECEIPT,
                "2026-04-05",
                Map.of(),
                "item quantity price",
                "TWICE",
                "10",
                "4.00"));
    assertThatThrownBy(() -> bill("2026-04-09", "", "TWICE", "10", "4.00"))
        .hasMessageContaining("came with " + receipt + " and are not billed yet");
    paper(
        PaperKind.BILL,
        "2026-04-09",
        Map.of("their_number", "OJ-1"),
        "of item quantity price",
        receipt,
        "TWICE",
        "10",
        "4.00");
    assertThatThrownBy(
            () ->
                paper(
                    PaperKind.BILL,
                    "2026-04-10",
                    Map.of("their_number", "OJ-1"),
                    "item quantity price",
                    "TWICE",
                    "1",
                    "4.00"))
        .hasMessageContaining("bears the same number");
  }

  private long paperOf(String number) {
    return book.sql()
        .sql("select id from paper where number = ?")
        .param(number)
        .query(Long.class)
        .single();
  }

  private boolean approved(long order) {
    return book.sql()
        .sql("select approved_at is not null from order_head where paper_id = ?")
        .param(order)
        .query(Boolean.class)
        .single();
  }

  @Test
  void who_wrote_an_order_does_not_approve_it_unless_nobody_else_could() {
    book.item("FOUR", "FIFO");
    PeopleStore people = book.get(PeopleStore.class);
    people.add("tester", "Tester", "-", Person.Role.OWNER);
    book.sql().sql("update book set approver = 'BOOKKEEPER'").update();
    try {
      assertThat(approved(paperOf(order("2026-02-03", "FOUR", "1", "5.00")))).isTrue();
      people.add("other", "Other", "-", Person.Role.BOOKKEEPER);
      long order = paperOf(order("2026-02-03", "FOUR", "2", "5.00"));
      assertThat(approved(order)).isFalse();
      assertThatThrownBy(() -> book.get(Ordering.class).approve(order, "tester"))
          .hasMessageContaining("somebody else approves it");
      book.get(Ordering.class).approve(order, "other");
      assertThat(approved(order)).isTrue();
      assertThat(
              book.sql()
                  .sql(
                      "select concat(login, ' ', what) from audit where subject_id = ? order by id")
                  .param(order)
                  .query(String.class)
                  .list())
          .last()
          .isEqualTo("other approved " + book.number(order));
      book.get(BookStore.class).approver("BOOKKEEPER", 2000);
      assertThat(approved(paperOf(order("2026-02-03", "FOUR", "3", "5.00")))).isTrue();
      assertThat(approved(paperOf(order("2026-02-03", "FOUR", "4", "5.00"))))
          .as("one that comes to as much as needs it")
          .isFalse();
    } finally {
      book.get(BookStore.class).approver("", 0);
      book.sql().sql("delete from app_user").update();
    }
  }

  @Test
  void an_order_waits_for_approval_when_the_book_wants_it_and_its_rest_can_be_cancelled() {
    book.item("APPR", "FIFO");
    book.sql().sql("update book set approver = 'OWNER'").update();
    String order = order("2026-02-01", "APPR", "10", "5.00");
    assertThatThrownBy(() -> receipt("2026-02-02", order, "APPR", "4"))
        .hasMessageContaining("is not approved yet");
    long id =
        book.sql()
            .sql("select id from paper where number = ?")
            .param(order)
            .query(Long.class)
            .single();
    assertThatThrownBy(() -> book.get(Ordering.class).approve(id, "tester"))
        .isInstanceOf(Refused.class);
    book.sql().sql("update book set approver = ''").update();
    receipt("2026-02-02", order, "APPR", "4");
    book.get(Ordering.class).end(id, "tester");
    assertThat(awaited("ORDERED_GOODS", "APPR")).isZero();
    assertThatThrownBy(() -> book.get(Ordering.class).end(id, "tester"))
        .hasMessageContaining("cancelled already");
  }

  /** Six people bring all of one order at the same moment: one does, the others are asked. */
  @Test
  void an_order_received_by_several_at_once_is_received_once() throws Exception {
    book.item("ONCE", "FIFO");
    String order = order("2026-02-01", "ONCE", "10", "5.00");
    ExecutorService people = Executors.newFixedThreadPool(6);
    List<Callable<Integer>> work = new ArrayList<>();
    for (int n = 0; n < 6; n++)
      work.add(
          () -> {
            try {
              receipt("2026-02-03", order, "ONCE", "10");
              return 1;
            } catch (Refused asked) {
              assertThat(asked.getMessage()).contains("10 too many");
              return 0;
            }
          });
    int done = 0;
    for (var one : people.invokeAll(work)) done += one.get();
    people.shutdown();
    assertThat(done).isEqualTo(1);
    assertThat(book.worth("ONCE")).isEqualTo(5000);
    assertThat(awaited("ORDERED_GOODS", "ONCE")).isZero();
  }

  /**
   * IAS 2 paragraph 11 (from memory): carriage on the goods' own bill is part of their cost. 9.00
   * over 60.00 and 30.00: 6.00 and 3.00. Of a receipt of 30.00, billed at that, the 3.00 is a
   * charge.
   */
  @Test
  void carriage_on_the_goods_own_bill_is_shared_over_them() {
    book.item("OWN", "FIFO");
    book.item("EARLIER", "FIFO");
    String receipt =
        book.number(
            paper(
                PaperKind.RECEIPT,
                "2026-05-01",
                Map.of(),
                "item quantity price",
                "EARLIER",
                "10",
                "3.00"));
    long bill =
        paper(
            PaperKind.BILL,
            "2026-05-05",
            Map.of("charges", "value"),
            "of item quantity price",
            "",
            "OWN",
            "10",
            "6.00",
            receipt,
            "EARLIER",
            "10",
            "3.00",
            "",
            "6200",
            "1",
            "9.00");
    assertThat(book.worth("OWN")).isEqualTo(6600);
    assertThat(book.worth("EARLIER")).isEqualTo(3300);
    assertThat(
            book.sql()
                .sql("select -sum(amount) from open_item where paper_id = ?")
                .param(bill)
                .query(Long.class)
                .single())
        .isEqualTo(9900);
    assertThatThrownBy(
            () ->
                paper(
                    PaperKind.BILL,
                    "2026-05-05",
                    Map.of("charges", "weight"),
                    "item quantity price",
                    "OWN",
                    "1",
                    "6.00",
                    "6200",
                    "1",
                    "9.00"))
        .hasMessageContaining("The weight of Item OWN is not known");
  }

  /**
   * 10 here, reorder point 3. 8 are promised: 2 free, so it runs short though 10 are here. 5 of the
   * 8 are sent and invoiced: 5 here, 3 promised, 2 free still. 6 ordered: 8 with those, no longer
   * short.
   */
  @Test
  void what_is_promised_is_not_free_until_it_is_sent() {
    book.item("PROM", "FIFO");
    book.sql().sql("update item set reorder_point = 3000000 where code = 'PROM'").update();
    bill("2026-02-01", "", "PROM", "10", "2.00");
    assertThat(toOrder("PROM")).isNull();
    String order =
        book.number(
            paper(
                PaperKind.SALES_ORDER,
                "2026-02-02",
                Map.of("customer", "Fenwick Garden"),
                "item quantity price",
                "PROM",
                "8",
                "5.00"));
    assertThat(toOrder("PROM")).isEqualTo("10000000 8000000 0 2000000");
    Map<String, String> customer = Map.of("customer", "Fenwick Garden");
    paper(
        PaperKind.INVOICE,
        "2026-02-03",
        customer,
        "of item quantity price",
        order,
        "PROM",
        "5",
        "5.00");
    assertThat(toOrder("PROM")).isEqualTo("5000000 3000000 0 2000000");
    order("2026-02-04", "PROM", "6", "2.00");
    assertThat(toOrder("PROM")).isNull();
    assertThatThrownBy(
            () ->
                paper(
                    PaperKind.INVOICE,
                    "2026-02-05",
                    customer,
                    "of item quantity price",
                    order,
                    "PROM",
                    "4",
                    "5.00"))
        .hasMessageContaining("1 too many");
  }

  /** On hand, promised, on order and free in the list of what to order; null when not in it. */
  private static String toOrder(String code) {
    List<String> rows = new ArrayList<>();
    book.get(ListingStore.class)
        .all(
            OrderListings.toOrder(Coin.of("EUR")),
            Ask.of(code),
            row ->
                rows.add(
                    row.get("on_hand")
                        + " "
                        + row.get("promised")
                        + " "
                        + row.get("on_order")
                        + " "
                        + row.get("free")));
    return rows.isEmpty() ? null : rows.get(0);
  }
}
