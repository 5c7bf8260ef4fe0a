package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.Catalogues;
import zinctally.store.posting.Proving;

/** What belongs to goods that came before, and goods that go back. All figures by hand. */
class ChargeAndReturnTest extends OneBookTest {
  private static long cost(long paper) {
    return -book.sql()
        .sql("select sum(booked) from cost_event where paper_id = ? and not gone")
        .param(paper)
        .query(Long.class)
        .single();
  }

  private static long booked(String role, long paper) {
    return book.sql()
        .sql(
            "select coalesce(sum(l.amount), 0) from journal j join journal_line l on l.journal_id = j.id"
                + " join account a on a.id = l.account_id where a.role = ? and j.paper_id = ?")
        .params(role, paper)
        .query(Long.class)
        .single();
  }

  private static long charge(String date, String amount, String spread, String... bills) {
    return book.post(
        PaperKind.CHARGE,
        Map.of(
            "date",
            date,
            "supplier",
            "Brenn Carriers",
            "amount",
            amount,
            "spread",
            spread,
            "tax",
            "S"),
        java.util.Arrays.stream(bills).map(b -> Map.of("bill", b)).toList());
  }

  private static long giveBack(
      PaperKind kind, String date, String paper, String item, String quantity) {
    boolean supplier = kind == PaperKind.SUPPLIER_RETURN;
    return book.post(
        kind,
        Map.of(
            "date",
            date,
            supplier ? "supplier" : "customer",
            supplier ? "Orrin Joinery" : "Fenwick Garden",
            "place",
            "Store"),
        List.of(Map.of("paper", paper, "item", item, "quantity", quantity)));
  }

  /**
   * IAS 2 paragraphs 10 and 11 (from memory). 10 at 6.00 and 10 at 2.00, 80.00; 4 of the first sold
   * for 24.00. Freight of 10.00 by value: 7.50 and 2.50. Of 7.50, 4 of 10 are sold: 3.00.
   */
  @Test
  void freight_weeks_later_reaches_goods_here_and_goods_sold() {
    book.item("HEAVY", "FIFO");
    book.item("LIGHT", "AVERAGE");
    String bill =
        book.number(book.bill("2026-02-01", "HEAVY", "10", "6.00", "LIGHT", "10", "2.00"));
    long sale = book.invoice("2026-02-10", "HEAVY", "4", "9.00");
    Map<LocalDate, String> before = book.figures();
    long freight = charge("2026-03-01", "10.00", "value", bill);
    assertThat(cost(sale)).isEqualTo(2700);
    assertThat(book.worth("HEAVY")).isEqualTo(3600 + 450);
    assertThat(book.worth("LIGHT")).isEqualTo(2250);
    assertThat(booked("PAYABLES", freight)).isEqualTo(-1200);
    assertThat(booked("PURCHASE_TAX", freight)).isEqualTo(200);
    assertThat(booked("COST_OF_GOODS_SOLD", freight)).isEqualTo(300);
    book.voidOn("2026-03-01", freight);
    assertThat(book.figures()).isEqualTo(before);
    long again = charge("2026-03-01", "10.00", "quantity", bill);
    assertThat(cost(sale)).isEqualTo(2400 + 200);
    book.voidOn("2026-02-10", sale);
    assertThatThrownBy(() -> book.voidOn("2026-02-01", paper(bill)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(book.number(again));
  }

  private static long paper(String number) {
    return book.sql()
        .sql("select id from paper where number = ?")
        .param(number)
        .query(Long.class)
        .single();
  }

  @Test
  void charges_that_cannot_be_are_refused_with_what_would_be_right() {
    book.item("CHEAP", "FIFO");
    String bill = book.number(book.bill("2026-02-01", "CHEAP", "10", "1.00"));
    assertThatThrownBy(() -> charge("2026-02-05", "5", "value", "B-1999-0001"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("No bill or receipt \"B-1999-0001\" with goods");
    assertThatThrownBy(() -> charge("2026-01-31", "5", "value", bill))
        .hasMessageContaining("cannot come before its goods");
    assertThatThrownBy(() -> charge("2026-02-05", "-10.01", "value", bill))
        .hasMessageContaining("worth would go below zero");
    assertThatThrownBy(() -> charge("2026-02-05", "5", "value", bill, bill))
        .hasMessageContaining("on a line above already");
    assertThatThrownBy(() -> charge("2026-02-05", "5", "hand", bill))
        .hasMessageContaining("how much of it bears this line");
    assertThat(book.worth("CHEAP")).isEqualTo(1000);
  }

  /**
   * 2 at 2.00 and 2 at 4.00, first in first out: 3 sold for 8.00. One comes back at 2.67, credit of
   * its price 9.00 without tax.
   */
  @Test
  void a_sale_comes_back_at_the_cost_at_which_it_left() {
    book.item("BACK", "FIFO");
    book.bill("2026-02-01", "BACK", "2", "2.00");
    book.bill("2026-02-02", "BACK", "2", "4.00");
    String sale = book.number(book.invoice("2026-02-10", "BACK", "3", "9.00"));
    Map<LocalDate, String> before = book.figures();
    long back = giveBack(PaperKind.CUSTOMER_RETURN, "2026-02-20", sale, "BACK", "1");
    assertThat(book.worth("BACK")).isEqualTo(400 + 267);
    assertThat(booked("RECEIVABLES", back)).isEqualTo(-900);
    assertThat(booked("SALES_RETURNS", back)).isEqualTo(900);
    assertThat(booked("COST_OF_GOODS_SOLD", back)).isEqualTo(-267);
    assertThatThrownBy(() -> giveBack(PaperKind.CUSTOMER_RETURN, "2026-02-21", sale, "BACK", "3"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("2 of Item BACK on " + sale + " can still go back");
    assertThatThrownBy(() -> book.voidOn("2026-02-10", paper(sale)))
        .hasMessageContaining(book.number(back));
    book.voidOn("2026-02-20", back);
    assertThat(book.figures()).isEqualTo(before);
  }

  /**
   * An average of 3.00; two of the dearer arrival go back at its own 4.00 and are credited 8.00.
   */
  @Test
  void goods_go_back_to_their_supplier_at_the_cost_of_their_own_arrival() {
    book.item("RETURN", "AVERAGE");
    book.bill("2026-02-01", "RETURN", "10", "2.00");
    String dear = book.number(book.bill("2026-02-02", "RETURN", "10", "4.00"));
    long back = giveBack(PaperKind.SUPPLIER_RETURN, "2026-02-20", dear, "RETURN", "2");
    assertThat(book.worth("RETURN")).isEqualTo(6000 - 800);
    assertThat(booked("PAYABLES", back)).isEqualTo(800);
    assertThat(booked("PRICE_DIFFERENCES", back)).isZero();
    charge("2026-03-01", "5.00", "value", dear);
    // half a cent more for each of the two: the credit does not rise, so it is a difference
    assertThat(booked("PRICE_DIFFERENCES", paper(book.number(back)))).isZero();
    assertThat(
            book.sql()
                .sql(
                    "select sum(l.amount) from journal_line l join account a on a.id = l.account_id"
                        + " where a.role = 'PRICE_DIFFERENCES' and l.item_id ="
                        + " (select id from item where code = 'RETURN')")
                .query(Long.class)
                .single())
        .isEqualTo(100);
    assertThatThrownBy(() -> giveBack(PaperKind.SUPPLIER_RETURN, "2026-03-02", dear, "RETURN", "9"))
        .hasMessageContaining("8 of Item RETURN on " + dear + " can still go back");
  }

  /**
   * A bill of 130.00 comes first, 80.00 for ten of one and 50.00 for ten of another, then four of
   * the first and nothing of the second. Duty of 13.00 by value: 3.20 for the four here (32.00),
   * 4.80 for the six to come, 5.00 for the ten of the second. When those come they bring their
   * share.
   */
  @Test
  void duty_on_a_bill_that_came_first_falls_on_goods_still_to_come_too() {
    book.item("HERE", "FIFO");
    book.item("TO-COME", "FIFO");
    String columns = "item quantity price";
    String bill =
        book.number(
            book.paper(
                PaperKind.BILL,
                "2026-02-01",
                Map.of("goods", "later"),
                columns,
                "HERE",
                "10",
                "8.00",
                "TO-COME",
                "10",
                "5.00"));
    String of = "of item quantity";
    book.paper(PaperKind.RECEIPT, "2026-02-03", Map.of(), of, bill, "HERE", "4");
    Map<LocalDate, String> before = book.figures();
    long duty = charge("2026-02-10", "13.00", "value", bill);
    assertThat(book.worth("HERE")).isEqualTo(3200 + 320);
    assertThat(book.booked("BILLED_NOT_RECEIVED", "HERE", "2026-06-30")).isEqualTo(4800 + 480);
    assertThat(book.booked("BILLED_NOT_RECEIVED", "TO-COME", "2026-06-30")).isEqualTo(5000 + 500);
    book.voidOn("2026-02-10", duty);
    assertThat(book.figures()).isEqualTo(before);
    long again = charge("2026-02-10", "13.00", "value", bill);
    long rest =
        book.paper(
            PaperKind.RECEIPT,
            "2026-02-20",
            Map.of(),
            of,
            bill,
            "HERE",
            "6",
            bill,
            "TO-COME",
            "10");
    assertThat(book.worth("HERE")).isEqualTo(8000 + 800);
    assertThat(book.worth("TO-COME")).isEqualTo(5500);
    assertThatThrownBy(() -> book.voidOn("2026-02-21", again))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(book.number(rest) + " has taken in Item TO-COME with its share");
    book.voidOn("2026-02-20", rest);
    book.voidOn("2026-02-10", again);
    assertThat(book.figures()).isEqualTo(before);
  }

  /** 10.00 written on a line of three serial numbers are 10.00, not 30.00. */
  @Test
  void a_share_by_hand_counts_once_for_a_line_of_serial_numbers() {
    book.item("PIECES", "SPECIFIC");
    book.sql().sql("update item set tracking = 'SERIAL' where code = 'PIECES'").update();
    String bill =
        book.number(
            book.paper(
                PaperKind.BILL,
                "2026-02-01",
                Map.of(),
                "item quantity price numbers",
                "PIECES",
                "3",
                "7.00",
                "3 from P-1"));
    book.paper(
        PaperKind.CHARGE,
        "2026-02-02",
        Map.of("what", "Freight", "amount", "10.00", "spread", "hand"),
        "bill share",
        bill,
        "10.00");
    assertThat(book.worth("PIECES")).isEqualTo(2100 + 1000);
  }

  /**
   * In whatever order a charge and a return of an earlier day are entered, the return costs the
   * same.
   */
  @ParameterizedTest
  @ValueSource(strings = {"FIFO", "AVERAGE"})
  void a_return_of_before_a_charge_leaves_at_the_charged_cost_once_both_are_entered(String method) {
    long[] worth = new long[2];
    for (int order = 0; order < 2; order++) {
      String item = "CHARGED-" + method + order;
      book.item(item, method);
      book.bill("2026-02-01", item, "10", "2.00");
      String bill = book.number(book.bill("2026-02-02", item, "10", "4.00"));
      if (order == 0) charge("2026-03-01", "5.00", "value", bill);
      giveBack(PaperKind.SUPPLIER_RETURN, "2026-02-20", bill, item, "2");
      if (order == 1) charge("2026-03-01", "5.00", "value", bill);
      worth[order] = book.worth(item);
    }
    assertThat(worth[0]).isEqualTo(worth[1]).isEqualTo(6000 + 500 - 800 - 100);
  }

  @Test
  void the_proof_of_a_return_names_a_charge_of_after_its_day_and_no_earlier_one() {
    book.item("CHARGED-LATE", "FIFO");
    String bill = book.number(book.bill("2026-02-01", "CHARGED-LATE", "10", "2.00"));
    charge("2026-02-10", "3.00", "value", bill);
    String late = book.number(charge("2026-03-01", "5.00", "value", bill));
    Draft draft =
        new Draft(
            PaperKind.SUPPLIER_RETURN,
            Map.of("date", "2026-02-20", "supplier", "Orrin Joinery", "place", "Store"),
            List.of(Map.of("paper", bill, "item", "CHARGED-LATE", "quantity", "2")));
    assertThat(
            book.get(Proving.class)
                .prove(draft, book.get(Catalogues.class).open(), "tester")
                .reading()
                .notes())
        .singleElement()
        .satisfies(note -> assertThat(note.says()).contains(", " + late + " of 2026-03-01:"));
  }

  /**
   * A bill of 10 at 8.00 with 20 % tax came before its goods. Two go back, named by their receipt:
   * credit is 19.20 as if the bill were named.
   */
  @Test
  void goods_billed_before_go_back_with_their_tax_also_when_the_receipt_is_named() {
    book.item("FIRST", "FIFO");
    String bill =
        book.number(
            book.paper(
                PaperKind.BILL,
                "2026-02-01",
                Map.of("goods", "later"),
                "item quantity price tax",
                "FIRST",
                "10",
                "8.00",
                "S"));
    String receipt =
        book.number(
            book.paper(
                PaperKind.RECEIPT,
                "2026-02-03",
                Map.of(),
                "of item quantity",
                bill,
                "FIRST",
                "10"));
    long back = giveBack(PaperKind.SUPPLIER_RETURN, "2026-02-20", receipt, "FIRST", "2");
    assertThat(booked("PAYABLES", back)).isEqualTo(1920);
    assertThat(booked("PURCHASE_TAX", back)).isEqualTo(-320);
  }

  /** 28 of one lot and 2 of another went on one line; of the other no more than 2 come back. */
  @Test
  void of_a_lot_no_more_comes_back_than_went_on_the_line() {
    book.item("MITES", "FIFO");
    book.sql().sql("update item set tracking = 'LOT' where code = 'MITES'").update();
    String columns = "item quantity price numbers";
    book.paper(
        PaperKind.BILL, "2026-02-01", Map.of(), columns, "MITES", "60", "2.00", "M-1: 40, M-2: 20");
    String sale =
        book.number(
            book.paper(
                PaperKind.INVOICE,
                "2026-02-02",
                Map.of(),
                columns,
                "MITES",
                "30",
                "5.00",
                "M-1: 28, M-2: 2"));
    String back = "paper item quantity numbers";
    book.paper(
        PaperKind.CUSTOMER_RETURN, "2026-02-05", Map.of(), back, sale, "MITES", "2", "M-2: 2");
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.CUSTOMER_RETURN,
                    "2026-02-06",
                    Map.of(),
                    back,
                    sale,
                    "MITES",
                    "5",
                    "M-2: 5"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("0 of lot M-2 on " + sale + " can still go back, not 5");
    book.paper(
        PaperKind.CUSTOMER_RETURN, "2026-02-06", Map.of(), back, sale, "MITES", "28", "M-1: 28");
  }
}
