package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.SalesListings;
import zinctally.store.listing.TaxListings;
import zinctally.store.sell.TaxStore;

/**
 * What was sold, by whom and with what tax, against the ledger: sales of two people, a return, a
 * void, a delivery invoiced later, a late bill. Tax of 20 %.
 */
class SalesFiguresTest extends OneBookTest {
  private static final LocalDate FIRST = LocalDate.of(2026, 1, 1);
  private static final LocalDate LAST = LocalDate.of(2026, 6, 30);

  @BeforeAll
  static void goods() {
    book.item("A", "FIFO");
    book.item("B", "AVERAGE");
    book.bill("2026-02-01", "A", "10", "4.00", "B", "10", "6.00");
    String kept = book.number(sold("2026-03-01", "A", "3", "9.00", "B", "1", "15.00"));
    long void1 = sold("2026-03-02", "A", "2", "9.00");
    String delivery =
        book.number(
            book.paper(PaperKind.DELIVERY, "2026-03-03", Map.of(), "item quantity", "B", "2"));
    book.paper(
        PaperKind.INVOICE,
        "2026-04-05",
        Map.of(),
        "of item quantity price tax",
        delivery,
        "B",
        "2",
        "14.00",
        "S");
    book.paper(
        PaperKind.CUSTOMER_RETURN, "2026-04-02", Map.of(), "paper item quantity", kept, "A", "1");
    book.voidOn("2026-05-10", void1);
    // carriage is sold too, and a bill comes late: B was dearer
    book.paper(PaperKind.INVOICE, "2026-05-11", Map.of(), "item price tax", "4000", "7.50", "S");
    // so is something that bears no tax, which goes back the same day
    long untaxed =
        book.paper(PaperKind.INVOICE, "2026-05-12", Map.of(), "item price", "4000", "3.25");
    book.paper(PaperKind.INVOICE, "2026-04-30", Map.of(), "item price", "4000", "1.10");
    book.voidOn("2026-05-12", untaxed);
    book.bill("2026-02-01", "B", "2", "12.00");
  }

  private static long sold(String date, String... itemQuantityPrice) {
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < itemQuantityPrice.length; i += 3) {
      cells.addAll(List.of(itemQuantityPrice).subList(i, i + 3));
      cells.add("S");
    }
    return book.paper(
        PaperKind.INVOICE, date, Map.of(), "item quantity price tax", cells.toArray(String[]::new));
  }

  private static long sum(Listing listing, String column) {
    return sum(listing, column, row -> true);
  }

  private static long sum(Listing listing, String column, Predicate<Map<String, Object>> counted) {
    long[] sum = {0};
    book.get(ListingStore.class)
        .all(
            listing,
            Ask.ALL,
            row -> {
              if (counted.test(row)) sum[0] += ((Number) row.get(column)).longValue();
            });
    return sum[0];
  }

  private static long ledger(String which, LocalDate from, LocalDate to) {
    return book.sql()
        .sql(
            "select coalesce(sum(l.amount), 0) from journal_line l join account a on a.id ="
                + " l.account_id where "
                + which
                + " and l.date between ? and ?")
        .params(from, to)
        .query(Long.class)
        .single();
  }

  @ParameterizedTest
  @EnumSource
  void however_sales_are_summed_they_come_to_what_the_ledger_says(SalesListings.By by) {
    // days before all history, many of them, and none
    List<LocalDate> begins =
        List.of(
            LocalDate.of(1990, 1, 1),
            FIRST,
            LocalDate.of(2026, 4, 1),
            LocalDate.of(2026, 5, 1),
            LAST,
            LAST.plusDays(1));
    for (LocalDate from : begins) {
      Listing sales = SalesListings.sales(by, from, LAST);
      assertThat(sum(sales, "net")).isEqualTo(-ledger("a.kind = 'INCOME'", from, LAST));
      assertThat(sum(sales, "cost")).isEqualTo(ledger("a.role = 'COST_OF_GOODS_SOLD'", from, LAST));
    }
  }

  /**
   * 27.00 + 15.00 + 28.00 + 7.50 + 1.10 = 78.60 sold, 9.00 taken back; the voided one counts
   * nowhere.
   */
  @Test
  void who_sold_is_paid_on_what_stayed_sold() {
    Listing who = SalesListings.commission(FIRST, LAST);
    assertThat(sum(who, "sold")).isEqualTo(7860);
    assertThat(sum(who, "back")).isEqualTo(-900);
    assertThat(sum(who, "basis")).isEqualTo(6960);
  }

  /**
   * March: 8.40 and 3.60 on 42.00 and 18.00. April: 5.60 on 28.00, less 1.80 on 9.00. May: 1.50 on
   * 7.50, less 3.60 of the sale voided on the 10th. What bears no tax (1.10 in April) is in the
   * bases.
   */
  @Test
  void tax_of_every_month_is_what_its_accounts_grew_by() {
    long[] tax = {0, 0, 0, 1200, 380, -210};
    long[] base = {0, 0, 0, 6000, 2010, -1050};
    for (int month = 1; month <= 5; month++) {
      LocalDate from = LocalDate.of(2026, month, 1);
      LocalDate to = from.plusMonths(1).minusDays(1);
      TaxStore.TieOut tie = book.get(TaxStore.class).tieOut(from, to);
      assertThat(tie.apart()).isZero();
      assertThat(tie.sales()).isEqualTo(tax[month]);
      Listing byRate = TaxListings.byRate(from, to);
      assertThat(sum(byRate, "tax")).isEqualTo(tax[month]);
      long sold = sum(byRate, "base", row -> row.get("side").equals("sales"));
      assertThat(sold).isEqualTo(base[month]).isEqualTo(-ledger("a.kind = 'INCOME'", from, to));
      assertThat(sum(TaxListings.papers(from, to), "tax")).isEqualTo(tax[month]);
    }
  }

  /** Three of 0.33 with 20 %: 0.07 each line by line, 0.20 of 0.99 on the sum. */
  @Test
  void an_order_asks_for_the_tax_that_its_invoice_will() {
    try (FreshBook other = new FreshBook()) {
      other.item("C", "FIFO");
      other.bill("2026-02-01", "C", "90", "0.10");
      String[] thrice = {"C", "1", "0.33", "S", "C", "1", "0.33", "S", "C", "1", "0.33", "S"};
      for (boolean onSums : new boolean[] {false, true}) {
        other.sql().sql("update book set tax_on_sums = ?").param(onSums).update();
        for (PaperKind kind : List.of(PaperKind.SALES_ORDER, PaperKind.INVOICE)) {
          long paper = other.paper(kind, "2026-03-01", Map.of(), "item quantity price tax", thrice);
          assertThat(
                  other
                      .sql()
                      .sql("select tax from paper where id = ?")
                      .param(paper)
                      .query(BigDecimal.class)
                      .single()
                      .longValueExact())
              .isEqualTo(onSums ? 20 : 21);
        }
      }
    }
  }
}
