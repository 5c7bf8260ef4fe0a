package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Coin;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.Catalogues;
import zinctally.store.goods.StockStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.OrderListings;
import zinctally.store.paper.SettledStore;
import zinctally.store.sell.TillStore;

/** Orders, deliveries and invoices in every order in which they go. All figures by hand. */
class SellingTest extends OneBookTest {
  private static final String LAST = "2026-06-30";

  private static String order(String date, String... itemQuantityPrice) {
    return book.number(
        book.paper(
            PaperKind.SALES_ORDER, date, Map.of(), "item quantity price", itemQuantityPrice));
  }

  private static long delivery(String date, String... ofItemQuantity) {
    return book.paper(PaperKind.DELIVERY, date, Map.of(), "of item quantity", ofItemQuantity);
  }

  private static long invoice(String date, String... ofItemQuantityPrice) {
    return book.paper(
        PaperKind.INVOICE, date, Map.of(), "of item quantity price", ofItemQuantityPrice);
  }

  private static void ledger(
      String code, String day, long stock, long sent, long cogs, long sales) {
    assertThat(
            new long[] {
              book.booked("STOCK", code, day),
              book.booked("SENT_NOT_INVOICED", code, day),
              book.booked("COST_OF_GOODS_SOLD", code, day),
              -book.booked("SALES", code, day)
            })
        .containsExactly(stock, sent, cogs, sales);
  }

  /**
   * 6 at 4.00 and 6 at 5.00. 7 of an order of 10 go: 24.00 + 5.00 = 29.00, sent and not invoiced.
   * An invoice for 4 of them takes 4/7: 16.57. Freight of 3.00 on the first six, weeks later, makes
   * the seven cost 32.00: 4/7 is 18.29, so 1.72 more is cost of goods sold on the freight's day.
   * The invoice for the other 3 takes the rest, and nothing is left.
   */
  @Test
  void the_cost_of_a_delivery_meets_its_revenue_invoice_by_invoice_and_late_freight_follows() {
    book.item("SENT", "FIFO");
    long first = book.bill("2026-01-05", "SENT", "6", "4.00");
    book.bill("2026-01-06", "SENT", "6", "5.00");
    String order = order("2026-01-10", "SENT", "10", "9.00");
    long delivery = delivery("2026-01-12", order, "SENT", "7");
    String number = book.number(delivery);
    ledger("SENT", "2026-01-12", 2500, 2900, 0, 0);
    assertThat(book.awaited("PROMISED_GOODS", "SENT")).isEqualTo(3_000_000);
    Map<LocalDate, String> notInvoiced = book.figures();
    long invoice = invoice("2026-01-20", number, "SENT", "4", "9.00");
    ledger("SENT", "2026-01-20", 2500, 1243, 1657, 3600);
    assertThat(book.awaited("PROMISED_INVOICE", "SENT")).isEqualTo(6_000_000);
    Map<LocalDate, String> beforeFreight = book.figures();
    long freight =
        book.paper(
            PaperKind.CHARGE,
            "2026-02-15",
            Map.of("supplier", "Larkin Carriers", "what", "Freight", "amount", "3.00"),
            "bill",
            book.number(first));
    ledger("SENT", "2026-02-14", 2500, 1243, 1657, 3600);
    ledger("SENT", "2026-02-15", 2500, 1371, 1829, 3600);
    long rest = invoice("2026-02-20", order, "SENT", "3", "9.00");
    ledger("SENT", LAST, 2500, 0, 3200, 6300);
    assertThatThrownBy(() -> book.voidOn("2026-06-01", delivery))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(book.number(invoice))
        .hasMessageContaining("goes on from its line");
    book.voidOn("2026-02-20", rest);
    book.voidOn("2026-02-15", freight);
    assertThat(book.figures()).isEqualTo(beforeFreight);
    book.voidOn("2026-01-20", invoice);
    assertThat(book.figures()).isEqualTo(notInvoiced);
  }

  /** The same freight, and then the invoice is voided: what it had moved on comes back. */
  @Test
  void voiding_an_invoice_takes_back_what_later_costs_it_had_recognised() {
    book.item("BACKED", "AVERAGE");
    long bill = book.bill("2026-01-05", "BACKED", "10", "2.00");
    long delivery = delivery("2026-01-12", "", "BACKED", "10");
    long invoice = invoice("2026-01-12", book.number(delivery), "BACKED", "10", "3.00");
    book.paper(
        PaperKind.CHARGE,
        "2026-03-01",
        Map.of("supplier", "Larkin Carriers", "what", "Freight", "amount", "5.00"),
        "bill",
        book.number(bill));
    ledger("BACKED", LAST, 0, 0, 2500, 3000);
    book.voidOn("2026-01-12", invoice);
    ledger("BACKED", "2026-02-28", 0, 2000, 0, 0);
    ledger("BACKED", LAST, 0, 2500, 0, 0);
    book.amend(
        delivery,
        PaperKind.DELIVERY,
        Map.of("date", "2026-01-14", "customer", "Fenwick Garden", "place", "Store"),
        FreshBook.rows("BACKED", "4", ""));
    ledger("BACKED", LAST, 1500, 1000, 0, 0);
    book.voidOn("2026-01-20", delivery);
    ledger("BACKED", LAST, 2500, 0, 0, 0);
  }

  /**
   * 5 invoiced ahead at 10.00: 50.00 is owed to us and not earned. 2 go: 20.00 earned, at 2 x 6.00;
   * then 3: 30.00, and nothing is billed ahead any more.
   */
  @Test
  void an_invoice_sent_ahead_is_earned_as_its_goods_go() {
    book.item("AHEAD", "FIFO");
    book.bill("2026-03-01", "AHEAD", "8", "6.00");
    String order = order("2026-03-02", "AHEAD", "5", "10.00");
    long invoice =
        book.paper(
            PaperKind.INVOICE,
            "2026-03-03",
            Map.of("goods", "later"),
            "of item quantity price",
            order,
            "AHEAD",
            "5",
            "10.00");
    ledger("AHEAD", "2026-03-03", 4800, 0, 0, 0);
    assertThat(book.booked("BILLED_AHEAD", "AHEAD", "2026-03-03")).isEqualTo(-5000);
    delivery("2026-03-10", book.number(invoice), "AHEAD", "2");
    ledger("AHEAD", "2026-03-10", 3600, 0, 1200, 2000);
    assertThat(book.booked("BILLED_AHEAD", "AHEAD", "2026-03-10")).isEqualTo(-3000);
    assertThatThrownBy(() -> delivery("2026-03-11", book.number(invoice), "AHEAD", "4"))
        .hasMessageContaining("this takes 1 more, which would wait for another invoice");
    delivery("2026-03-11", order, "AHEAD", "3");
    ledger("AHEAD", LAST, 1800, 0, 3000, 5000);
    assertThat(book.booked("BILLED_AHEAD", "AHEAD", LAST)).isZero();
    assertThat(book.awaited("PROMISED_GOODS", "AHEAD")).isZero();
    assertThat(book.awaited("PROMISED_INVOICE", "AHEAD")).isZero();
  }

  /** 2 at 4.00 and 1 at 7.00 went and were invoiced; one comes back at a third of 15.00. */
  @Test
  void goods_delivered_before_their_invoice_come_back_at_the_cost_at_which_they_left() {
    book.item("RETD", "FIFO");
    book.bill("2026-04-01", "RETD", "2", "4.00");
    book.bill("2026-04-02", "RETD", "1", "7.00");
    long delivery = delivery("2026-04-03", "", "RETD", "3");
    long invoice = invoice("2026-04-04", book.number(delivery), "RETD", "3", "9.00");
    book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-04-05",
        Map.of(),
        "paper item quantity",
        book.number(invoice),
        "RETD",
        "1");
    ledger("RETD", LAST, 500, 0, 1000, 2700);
    assertThat(book.booked("SALES_RETURNS", "RETD", LAST)).isEqualTo(900);
  }

  /** Two counters sell the last piece at the same moment: one gets it, the other a sentence. */
  @Test
  void the_last_piece_is_sold_once() throws Exception {
    book.get(TillStore.class).open("Store", 0, "tester");
    book.item("LAST", "FIFO");
    book.bill("2026-05-01", "LAST", "1", "4.00");
    ExecutorService counters = Executors.newFixedThreadPool(2);
    List<Callable<String>> sales = new ArrayList<>();
    for (int n = 0; n < 2; n++)
      sales.add(
          () -> {
            try {
              return book.number(
                  book.paper(
                      PaperKind.COUNTER_SALE,
                      "2026-05-02",
                      Map.of("customer", "", "cash", "9"),
                      "item price",
                      "LAST",
                      "9.00"));
            } catch (Refused refused) {
              return refused.getMessage();
            }
          });
    List<String> came = new ArrayList<>();
    for (var one : counters.invokeAll(sales)) came.add(one.get());
    counters.shutdown();
    assertThat(came).anyMatch(c -> c.startsWith("CS-2026-"));
    assertThat(came).anyMatch(c -> c.contains("Store has 0 of Item LAST; this takes 1"));
    ledger("LAST", LAST, 0, 0, 400, 900);
  }

  /** One of two comes back broken: at 4.00 from cost of goods sold, and on to Breakage. */
  @Test
  void what_comes_back_broken_is_written_off_at_the_cost_at_which_it_left() {
    book.item("BROKEN", "AVERAGE");
    book.bill("2026-05-01", "BROKEN", "4", "4.00");
    String invoice = book.number(invoice("2026-05-02", "", "BROKEN", "2", "9.00"));
    book.bill("2026-05-03", "BROKEN", "4", "7.00");
    long back =
        book.paper(
            PaperKind.CUSTOMER_RETURN,
            "2026-05-04",
            Map.of("back", "1010"),
            "paper item quantity goods",
            invoice,
            "BROKEN",
            "1",
            "Breakage");
    ledger("BROKEN", LAST, 3600, 0, 400, 1800);
    assertThat(
            book.sql()
                .sql(
                    "select sum(l.amount) from journal j join journal_line l on l.journal_id = j.id"
                        + " join account a on a.id = l.account_id"
                        + " where j.paper_id = ? and a.name = 'Breakage'")
                .param(back)
                .query(Long.class)
                .single())
        .isEqualTo(400);
    book.voidOn("2026-05-04", back);
    ledger("BROKEN", LAST, 3600, 0, 800, 1800);
  }

  /**
   * 6 at 4.00; 5 of an order go: 20.00 sent, not invoiced. 2 come back before the invoice: 8.00.
   * Freight of 3.00 on the six makes each 4.50: 13.50 here, 13.50 sent, and nothing in cost of
   * goods sold until the other 3 are invoiced. Nobody owes anything for what came back.
   */
  @Test
  void what_comes_back_before_its_invoice_is_in_stock_again_and_was_never_sold() {
    book.item("TRIAL", "FIFO");
    long bill = book.bill("2026-02-01", "TRIAL", "6", "4.00");
    String order = order("2026-02-02", "TRIAL", "5", "9.00");
    long sent = delivery("2026-02-05", order, "TRIAL", "5");
    String delivery = book.number(sent);
    assertThatThrownBy(() -> back(delivery, "TRIAL", "6"))
        .hasMessageContaining("5 of Item TRIAL on " + delivery + " can still go back");
    long back = back(delivery, "TRIAL", "2");
    ledger("TRIAL", "2026-02-08", 1200, 1200, 0, 0);
    assertThat(
            book.sql()
                .sql("select total from paper where id = ?")
                .param(back)
                .query(Long.class)
                .single())
        .isZero();
    assertThat(book.awaited("SENT_INVOICE", "TRIAL")).isEqualTo(3_000_000);
    assertThat(book.awaited("PROMISED_INVOICE", "TRIAL")).isEqualTo(3_000_000);
    book.paper(
        PaperKind.CHARGE,
        "2026-03-15",
        Map.of("supplier", "Larkin Carriers", "what", "Freight", "amount", "3.00"),
        "bill",
        book.number(bill));
    ledger("TRIAL", "2026-03-15", 1350, 1350, 0, 0);
    long invoice = invoice("2026-03-20", delivery, "TRIAL", "3", "9.00");
    ledger("TRIAL", LAST, 1350, 0, 1350, 2700);
    assertThatThrownBy(() -> back(delivery, "TRIAL", "1"))
        .hasMessageContaining("are not invoiced; for the rest name the invoice");
    assertThatThrownBy(() -> book.voidOn("2026-06-01", sent))
        .hasMessageContaining(book.number(back))
        .hasMessageContaining("goes on from its line");
    book.voidOn("2026-03-20", invoice);
    book.voidOn("2026-02-08", back);
    ledger("TRIAL", LAST, 450, 2250, 0, 0);
    assertThat(book.awaited("SENT_INVOICE", "TRIAL")).isEqualTo(5_000_000);
  }

  private static long back(String of, String code, String quantity) {
    return book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-02-08",
        Map.of(),
        "paper item quantity",
        of,
        code,
        quantity);
  }

  /** 5 at 4.00, 2 sold, one of them back: 4 are worth 16.00, and 3 of them can be sold. */
  @Test
  void what_comes_back_damaged_is_ours_at_its_cost_but_not_free() {
    book.item("DENT", "FIFO");
    book.bill("2026-05-01", "DENT", "5", "4.00");
    String invoice = book.number(invoice("2026-05-02", "", "DENT", "2", "9.00"));
    book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-05-04",
        Map.of(),
        "paper item quantity goods",
        invoice,
        "DENT",
        "1",
        "Damaged goods");
    ledger("DENT", LAST, 1600, 0, 400, 1800);
    var catalogue = book.get(Catalogues.class).open();
    long item = catalogue.item("DENT").orElseThrow().id();
    long store = catalogue.place("Store").orElseThrow().id();
    long damaged = catalogue.place("Damaged goods").orElseThrow().id();
    assertThat(catalogue.free(item, store).everywhere()).isEqualTo(3_000_000);
    assertThat(catalogue.free(item, damaged).here()).isEqualTo(1_000_000);
    assertThat(book.get(StockStore.class).free(List.of(item), "Store", true))
        .containsExactly(new StockStore.Free(item, 3_000_000, 3_000_000));
    book.sql().sql("update item set reorder_point = 3000000 where code = 'DENT'").update();
    List<Object> toOrder = new ArrayList<>();
    book.get(ListingStore.class)
        .all(OrderListings.toOrder(Coin.of("EUR")), Ask.ALL, row -> toOrder.add(row.get("code")));
    assertThat(toOrder).contains("DENT");
  }

  @Test
  void what_cannot_be_is_said_by_name() {
    book.item("FAULT", "FIFO");
    book.bill("2026-05-01", "FAULT", "5", "4.00");
    String delivery = book.number(delivery("2026-05-05", "", "FAULT", "3"));
    assertThatThrownBy(() -> invoice("2026-05-04", delivery, "FAULT", "3", "9.00"))
        .hasMessageContaining(delivery + " went on 2026-05-05; an invoice for it is of that day");
    assertThatThrownBy(() -> invoice("2026-05-06", "", "FAULT", "1", "9.00"))
        .hasMessageContaining("went with " + delivery + " and are not invoiced yet");
    assertThatThrownBy(() -> delivery("2026-05-06", "", "FAULT", "3"))
        .hasMessageContaining("Store has 2 of Item FAULT; this takes 3");
    String order = order("2026-05-07", "FAULT", "9", "5.00");
    assertThatThrownBy(() -> delivery("2026-05-06", order, "FAULT", "1"))
        .hasMessageContaining("its goods cannot go before");
  }

  /**
   * 35 are there, 20 promised to an order of the 5th; one of the 6th may have 15 without asking.
   */
  @Test
  void what_is_promised_to_an_older_order_is_asked_about_before_another_takes_it() {
    book.item("PROMISED", "FIFO");
    book.bill("2026-01-02", "PROMISED", "35", "1.00");
    String older = order("2026-01-05", "PROMISED", "20", "3.00");
    String newer = order("2026-01-06", "PROMISED", "30", "3.00");
    assertThatThrownBy(() -> delivery("2026-01-07", newer, "PROMISED", "30"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("20 are promised before, first to " + older)
        .hasMessageContaining("15 are free, and this takes 30");
    assertThatThrownBy(() -> book.invoice("2026-01-07", "PROMISED", "1", "3.00"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("0 are free, and this takes 1");
    delivery("2026-01-07", newer, "PROMISED", "15");
    delivery("2026-01-08", older, "PROMISED", "20");
    ledger("PROMISED", LAST, 0, 3500, 0, 0);
  }

  /** One order number on two invoices: each is paid under our own number. */
  @Test
  void two_invoices_with_one_order_number_can_both_be_paid_and_say_what_paid_them() {
    book.item("TWICE", "FIFO");
    book.bill("2026-01-02", "TWICE", "10", "1.00");
    long[] invoices = new long[2];
    for (int i = 0; i < 2; i++)
      invoices[i] =
          book.paper(
              PaperKind.INVOICE,
              "2026-01-0" + (5 + i),
              Map.of("reference", "FG 88", "customer", "Hollin Orchard"),
              "item quantity price",
              "TWICE",
              "1",
              "5.00");
    SettledStore papers = book.get(SettledStore.class);
    for (long invoice : invoices) {
      long payment =
          book.paper(
              PaperKind.CUSTOMER_PAYMENT,
              "2026-01-10",
              Map.of("customer", "Hollin Orchard", "money", "1000", "amount", "5"),
              "paper amount",
              book.number(invoice),
              "5");
      assertThat(papers.settledBy(invoice))
          .extracting(SettledStore.Settled::number)
          .containsExactly(book.number(payment));
      assertThat(papers.settles(payment))
          .extracting(SettledStore.Settled::amount)
          .containsExactly(500L);
    }
  }

  /** Three of a delivery's lines: one of zero is left for another time. */
  @Test
  void a_quantity_of_zero_on_a_line_that_was_filled_in_means_not_this_line() {
    book.item("NOW", "FIFO");
    book.item("NOT-NOW", "FIFO");
    book.bill("2026-01-02", "NOW", "5", "1.00", "NOT-NOW", "5", "1.00");
    String order = order("2026-01-05", "NOW", "2", "3.00", "NOT-NOW", "3", "3.00");
    delivery("2026-01-07", order, "NOW", "2", order, "NOT-NOW", "0");
    assertThat(book.awaited("PROMISED_GOODS", "NOW")).isZero();
    assertThat(book.awaited("PROMISED_GOODS", "NOT-NOW")).isEqualTo(3_000_000);
  }
}
