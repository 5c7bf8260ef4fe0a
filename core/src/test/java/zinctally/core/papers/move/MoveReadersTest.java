package zinctally.core.papers.move;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.COST;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.SALES;
import static zinctally.core.papers.SmallBook.STANDARD;
import static zinctally.core.papers.SmallBook.apart;
import static zinctally.core.papers.SmallBook.on;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.EventKind;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

/** Goods and their bills or invoices, one after the other. */
class MoveReadersTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 10);
  private final SmallBook book = new SmallBook();

  private static Written hives(PaperKind kind, String quantity, String price, String of) {
    return Written.of(kind).line("item", "HIVE", "quantity", quantity, "price", price, "of", of);
  }

  /** Ten hives of 6.00 each, of which so many still wait. */
  private void waits(Awaits what, PaperKind kind, String number, long open, long value) {
    waits(what, kind, number, open, value, Awaited.Order.NONE);
  }

  private void waits(
      Awaits what, PaperKind kind, String number, long open, long value, Awaited.Order order) {
    long party = kind.side().orElseThrow() == ORRIN.kind() ? ORRIN.id() : FENWICK.id();
    List<Awaited.Arrival> arrivals =
        what == Awaits.RECEIVED_BILL
            ? List.of(new Awaited.Arrival(500, DAY, open * 1_000_000))
            : List.of();
    book.awaited.add(
        new Awaited(
            book.awaited.size() + 1,
            what,
            kind,
            40,
            number,
            DAY,
            party,
            0,
            HIVE,
            10_000_000,
            value,
            open * 1_000_000,
            value,
            6000,
            new BigDecimal("6.00"),
            STANDARD,
            order,
            arrivals));
  }

  @Test
  void a_receipt_comes_in_at_the_price_typed_else_the_orders_else_the_latest_cost() {
    Plan typed = book.plan(hives(PaperKind.RECEIPT, "4", "5.00", ""));
    assertThat(typed.events().get(0).value().minor()).isEqualTo(2000);
    assertThat(on(typed, Role.RECEIVED_NOT_BILLED)).isEqualTo(-2000);
    assertThat(typed.awaits())
        .singleElement()
        .satisfies(
            w -> {
              assertThat(w.what()).isEqualTo(Awaits.RECEIVED_BILL);
              assertThat(w.value()).contains(new Money(2000));
            });
    assertThat(book.faults(hives(PaperKind.RECEIPT, "4", "", "")).get(0))
        .startsWith("rows.0.price: No cost of The hive is known yet");
    book.costs.put(HIVE.id(), new Catalogue.LatestCost(700, 2_000_000));
    assertThat(book.plan(hives(PaperKind.RECEIPT, "4", "", "")).events().get(0).value().minor())
        .isEqualTo(1400);
    waits(Awaits.ORDERED_GOODS, PaperKind.PURCHASE_ORDER, "PO-1", 10, 0);
    Plan ordered = book.plan(hives(PaperKind.RECEIPT, "4", "", "PO-1"));
    assertThat(ordered.events().get(0).value().minor()).isEqualTo(2400);
    assertThat(apart(ordered)).isZero();
  }

  @Test
  void more_than_was_ordered_and_what_was_not_is_asked_about() {
    waits(Awaits.ORDERED_GOODS, PaperKind.PURCHASE_ORDER, "PO-1", 3, 0);
    assertThat(book.faults(hives(PaperKind.RECEIPT, "3", "", "PO-1"))).isEmpty();
    assertThat(book.faults(hives(PaperKind.RECEIPT, "4", "", "PO-1")))
        .containsExactly(
            "rows.0.quantity: 10 of The hive were ordered on PO-1 and 7 are received already; this"
                + " is 4, 1 too many.");
    assertThat(
            book.faults(
                Written.of(PaperKind.RECEIPT)
                    .line("item", "FRAME", "quantity", "1", "price", "1", "of", "PO-1")))
        .containsExactly("rows.0.item: The frame is not on PO-1.");
    assertThat(book.faults(hives(PaperKind.RECEIPT, "1", "1", "PO-2")).get(0))
        .startsWith("rows.0.of: No order or bill \"PO-2\"");
    assertThat(book.faults(hives(PaperKind.RECEIPT, "1", "1", "PO-1").with("date", "2026-11-09")))
        .containsExactly("rows.0.of: PO-1 is of 2026-11-10; its goods cannot come before.");
    assertThat(book.faults(hives(PaperKind.RECEIPT, "0", "", "PO-1")))
        .as("zero means not this line")
        .containsExactly("rows.0.item: There is no line yet: what has come, and how many?");
  }

  @Test
  void a_bill_takes_up_what_its_receipt_stands_at_and_the_goods_bear_the_difference() {
    waits(Awaits.RECEIVED_BILL, PaperKind.RECEIPT, "R-1", 10, 6000);
    Written bill = hives(PaperKind.BILL, "10", "6.50", "R-1");
    Plan plan = book.plan(bill);
    assertThat(plan.events())
        .singleElement()
        .satisfies(
            e -> {
              assertThat(e.kind()).isEqualTo(EventKind.CHARGE);
              assertThat(e.value().minor()).isEqualTo(500);
              assertThat(e.target()).isEqualTo(new Plan.Earlier(500));
            });
    assertThat(on(plan, Role.RECEIVED_NOT_BILLED)).isEqualTo(6000);
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(-6500);
    assertThat(plan.moves()).isEmpty();
    assertThat(apart(plan)).isZero();
    assertThat(book.notes(bill))
        .containsExactly("The hive is billed 0.50 over the receipt, R-1: 5.00 more for 10.");
    assertThat(book.notes(hives(PaperKind.BILL, "4", "6.00", "R-1")))
        .containsExactly(
            "4 of The hive are billed; 6 more that came with R-1 stay received, not billed.");
  }

  @Test
  void a_bill_of_more_than_came_waits_for_the_rest_once_that_is_meant() {
    waits(Awaits.RECEIVED_BILL, PaperKind.RECEIPT, "R-1", 10, 6000);
    Written bill = hives(PaperKind.BILL, "11", "6.00", "R-1");
    assertThat(book.faults(bill))
        .singleElement()
        .asString()
        .startsWith("rows.0.quantity: 11 of The hive are billed, and only 10 came");
    Plan plan = book.plan(bill.agreed(book));
    assertThat(on(plan, Role.BILLED_NOT_RECEIVED)).isEqualTo(600);
    assertThat(plan.awaits()).extracting(Plan.Wait::what).containsExactly(Awaits.BILLED_GOODS);
    assertThat(apart(plan)).isZero();
  }

  @Test
  void goods_that_were_billed_first_come_in_at_the_bills_price() {
    waits(Awaits.BILLED_GOODS, PaperKind.BILL, "B-1", 5, 3000);
    assertThat(book.faults(hives(PaperKind.RECEIPT, "2", "9.00", "")))
        .singleElement()
        .asString()
        .startsWith("rows.0.of: 5 of The hive are billed on B-1 and have not come.");
    Plan plan = book.plan(hives(PaperKind.RECEIPT, "2", "9.00", "B-1"));
    assertThat(plan.events().get(0).value().minor()).isEqualTo(1200);
    assertThat(on(plan, Role.BILLED_NOT_RECEIVED)).isEqualTo(-1200);
    assertThat(plan.awaits()).isEmpty();
    assertThat(book.faults(hives(PaperKind.RECEIPT, "6", "9.00", "B-1")).get(0))
        .contains("this brings 1 more, which would wait for another bill");
  }

  @Test
  void a_delivery_stands_at_its_cost_until_it_is_invoiced() {
    Plan plan = book.plan(hives(PaperKind.DELIVERY, "2", "", ""));
    assertThat(plan.events().get(0).contra()).isEqualTo(book.account(Role.SENT_NOT_INVOICED).id());
    assertThat(plan.awaits()).singleElement().satisfies(w -> assertThat(w.value()).isEmpty());
    assertThat(plan.costing(line -> new Money(777)).awaits().get(0).value())
        .contains(new Money(777));
    assertThat(plan.lines()).isEmpty();
    assertThat(book.faults(hives(PaperKind.DELIVERY, "-1", "", "")).get(0))
        .contains("a return from the customer");
    assertThat(
            book.faults(Written.of(PaperKind.DELIVERY).line("item", "ADVICE", "quantity", "1"))
                .get(0))
        .contains("it is invoiced, but not delivered");
  }

  @Test
  void an_invoice_of_goods_sent_takes_their_cost_and_is_not_of_before_they_went() {
    waits(Awaits.SENT_INVOICE, PaperKind.DELIVERY, "D-1", 10, 4000);
    Plan plan = book.plan(hives(PaperKind.INVOICE, "5", "10.00", "D-1"));
    assertThat(on(plan, Role.SENT_NOT_INVOICED)).isEqualTo(-2000);
    assertThat(on(plan, COST)).isEqualTo(2000);
    assertThat(on(plan, SALES)).isEqualTo(-5000);
    assertThat(plan.events()).isEmpty();
    assertThat(apart(plan)).isZero();
    assertThat(book.faults(hives(PaperKind.INVOICE, "5", "10", "D-1").with("date", "2026-11-09")))
        .containsExactly(
            "rows.0.of: D-1 went on 2026-11-10; an invoice for it is of that day or later.");
    assertThat(
            book.faults(hives(PaperKind.INVOICE, "5", "10", "D-1").with("customer", "Other"))
                .get(0))
        .isEqualTo("rows.0.of: D-1 is not Other's.");
  }

  @Test
  void an_invoice_sent_ahead_earns_nothing_until_the_goods_go() {
    Plan ahead = book.plan(hives(PaperKind.INVOICE, "5", "10.00", "").with("goods", "later"));
    assertThat(ahead.events()).isEmpty();
    assertThat(on(ahead, SALES)).isZero();
    assertThat(on(ahead, Role.BILLED_AHEAD)).isEqualTo(-5000);
    assertThat(apart(ahead)).isZero();
    waits(Awaits.INVOICED_GOODS, PaperKind.INVOICE, "INV-1", 5, 5000);
    Plan gone = book.plan(hives(PaperKind.DELIVERY, "2", "", "INV-1"));
    assertThat(on(gone, Role.BILLED_AHEAD)).isEqualTo(2000);
    assertThat(on(gone, SALES)).isEqualTo(-2000);
    assertThat(gone.events().get(0).contra()).isEqualTo(COST);
    assertThat(apart(gone)).isZero();
  }

  @Test
  void a_line_says_which_earlier_line_it_goes_on_from() {
    waits(Awaits.SENT_INVOICE, PaperKind.DELIVERY, "D-1", 10, 4000);
    var row = book.paper(hives(PaperKind.INVOICE, "5", "10.00", "D-1")).rows().get(0);
    assertThat(row.from().paper()).isEqualTo(40);
    assertThat(book.read(hives(PaperKind.INVOICE, "5", "10.00", "D-1")).rows().get(0).beside())
        .containsEntry("awaited", "10");
  }

  @Test
  void goods_of_an_order_that_waits_for_approval_do_not_come_yet() {
    Awaited.Order unapproved = new Awaited.Order(40, "PO-1", 0, 1, 0, 6000, 10_000_000, false);
    waits(Awaits.ORDERED_GOODS, PaperKind.PURCHASE_ORDER, "PO-1", 10, 0, unapproved);
    assertThat(book.faults(hives(PaperKind.RECEIPT, "4", "", "PO-1")))
        .containsExactly("rows.0.of: PO-1 is not approved yet.");
  }
}
