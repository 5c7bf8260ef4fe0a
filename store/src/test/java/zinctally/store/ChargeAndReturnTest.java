package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.posting.Refused;

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
}
