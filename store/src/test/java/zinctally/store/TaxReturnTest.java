package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.sell.TaxStore;

/** Tax is declared once, whenever its papers come, and is then owed to the office. */
class TaxReturnTest {
  private final FreshBook book = new FreshBook();

  @BeforeEach
  void twoMonths() {
    book.item("A", "FIFO");
    book.paper(
        PaperKind.BILL, "2026-02-01", Map.of(), "item quantity price tax", "A", "10", "4.00", "S");
    sold("2026-02-10", "5", "10.00");
  }

  @AfterEach
  void close() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long sold(String date, String quantity, String price) {
    return book.paper(
        PaperKind.INVOICE, date, Map.of(), "item quantity price tax", "A", quantity, price, "S");
  }

  private long declare(String date, String from, String to, String pay) {
    return book.post(PaperKind.TAX_RETURN, fields(date, from, to, pay), List.of());
  }

  private static Map<String, String> fields(String date, String from, String to, String pay) {
    return Map.of(
        "supplier", "Tax office", "date", date, "from", from, "to", to, "pay", pay, "due", date);
  }

  private long left(String role) {
    return book.sql()
        .sql(
            "select coalesce(sum(l.amount), 0) from account a join journal_line l on l.account_id = a.id where a.role = ?")
        .param(role)
        .query(Long.class)
        .single();
  }

  private List<Long> declared(long paper) {
    return book.sql()
        .sql(
            "select sum(if(side = 'SALES_TAX', tax, -tax)) from tax_entry where return_id = ? group by side order by side")
        .param(paper)
        .query(Long.class)
        .list();
  }

  /** Sales 50.00 bear 10.00, purchases 40.00 bear 8.00: 2.00 is owed. */
  @Test
  void what_is_declared_leaves_the_tax_accounts_and_is_owed_like_a_bill() {
    long paper = declare("2026-03-05", "2026-02-01", "2026-02-28", "2.00");
    assertThat(left("SALES_TAX")).isZero();
    assertThat(left("PURCHASE_TAX")).isZero();
    assertThat(declared(paper)).containsExactly(-800L, 1000L);
    assertThat(
            book.sql()
                .sql("select open from open_item where paper_id = ?")
                .param(paper)
                .query(Long.class)
                .single())
        .isEqualTo(-200);
    book.post(
        PaperKind.SUPPLIER_PAYMENT,
        Map.of("supplier", "Tax office", "date", "2026-03-20", "money", "1000", "amount", "2.00"),
        List.of(Map.of("paper", book.number(paper), "amount", "2.00")));
    assertThat(
            book.sql()
                .sql(
                    "select sum(open) from open_item o join party p on p.id = o.party_id where p.name = 'Tax office'")
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  void what_the_report_says_is_not_changed_by_what_was_settled() {
    TaxStore taxes = book.get(TaxStore.class);
    LocalDate from = LocalDate.of(2026, 1, 1);
    LocalDate to = LocalDate.of(2026, 12, 31);
    TaxStore.TieOut before = taxes.tieOut(from, to);
    declare("2026-03-05", "2026-02-01", "2026-02-28", "2.00");
    assertThat(taxes.tieOut(from, to)).isEqualTo(before);
    assertThat(before.apart()).isZero();
    assertThat(before.toPay()).isEqualTo(200);
  }

  /** A sale of February that comes in April is declared with March, once. */
  @Test
  void a_late_paper_is_declared_with_the_next_return() {
    declare("2026-03-05", "2026-02-01", "2026-02-28", "2.00");
    sold("2026-02-20", "2", "10.00");
    sold("2026-03-10", "1", "10.00");
    long march = declare("2026-04-05", "2026-03-01", "2026-03-31", "6.00");
    assertThat(declared(march)).containsExactly(600L);
    assertThatThrownBy(() -> declare("2026-04-06", "2026-03-01", "2026-03-31", "0"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("No tax up to 2026-03-31 waits to be declared.");
  }

  @Test
  void a_declared_paper_that_is_voided_comes_off_the_next_return() {
    long sale = sold("2026-02-20", "2", "10.00");
    declare("2026-03-05", "2026-02-01", "2026-02-28", "6.00");
    book.voidOn("2026-03-10", sale);
    long march = declare("2026-04-05", "2026-03-01", "2026-03-31", "-4.00");
    assertThat(declared(march)).containsExactly(-400L);
    assertThat(left("SALES_TAX")).isZero();
  }

  @Test
  void an_amended_paper_is_declared_as_it_is_now() {
    long sale = sold("2026-02-20", "2", "10.00");
    book.amend(
        sale,
        PaperKind.INVOICE,
        Map.of("customer", "Fenwick Garden", "date", "2026-02-21", "place", "Store"),
        List.of(Map.of("item", "A", "quantity", "2", "price", "15.00", "tax", "Z")));
    assertThat(
            book.sql()
                .sql(
                    "select concat(date, ' ', rate, ' ', sum(base), ' ', sum(tax)) from tax_entry where paper_id = ? group by date, rate having sum(base) <> 0 or sum(tax) <> 0")
                .param(sale)
                .query(String.class)
                .list())
        .containsExactly("2026-02-21 Z 3000 0");
  }

  @Test
  void a_return_that_is_voided_or_amended_frees_what_it_declared() {
    long paper = declare("2026-03-05", "2026-02-01", "2026-02-28", "2.00");
    sold("2026-02-20", "2", "10.00");
    book.amend(
        paper,
        PaperKind.TAX_RETURN,
        fields("2026-03-06", "2026-02-01", "2026-02-28", "6.00"),
        List.of());
    assertThat(declared(paper)).containsExactly(-800L, 1400L);
    assertThat(left("SALES_TAX")).isZero();
    book.voidOn("2026-03-10", paper);
    assertThat(declared(paper)).isEmpty();
    assertThat(left("SALES_TAX")).isEqualTo(-1400);
    declare("2026-04-05", "2026-03-01", "2026-03-31", "6.00");
  }

  @Test
  void what_is_declared_and_not_settled_is_found_by_the_check() {
    long paper = declare("2026-03-05", "2026-02-01", "2026-02-28", "2.00");
    book.sql().sql("update tax_entry set return_id = null where side = 'SALES_TAX'").update();
    assertThat(book.get(CheckStore.class).findings())
        .filteredOn(f -> !f.holds())
        .singleElement()
        .extracting(Finding::what)
        .isEqualTo("a tax return settles what it declares");
    book.sql().sql("update tax_entry set return_id = ?").param(paper).update();
  }

  @Test
  void what_the_books_began_with_is_not_declared() {
    book.post(
        PaperKind.OPENING_BALANCES,
        Map.of(),
        List.of(
            Map.of("account", "2200", "credit", "55.00"),
            Map.of("account", "1000", "debit", "55.00")));
    declare("2026-03-05", "2026-02-01", "2026-02-28", "2.00");
    assertThat(left("SALES_TAX")).isEqualTo(-5500);
  }
}
