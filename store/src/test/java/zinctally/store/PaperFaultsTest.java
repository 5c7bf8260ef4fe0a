package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.trade.Trade;
import zinctally.core.proof.Proof;
import zinctally.store.posting.Proving;
import zinctally.store.prove.TieOutStore;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PaperFaultsTest {
  private FreshBook book;

  @BeforeAll
  void open() {
    book = new FreshBook();
    book.item("BOX", "FIFO");
    book.item("OFF", "FIFO");
    book.sql().sql("update item set active = false where code = 'OFF'").update();
    book.bill("2026-02-01", "BOX", "100", "4.00");
  }

  @AfterAll
  void close() {
    book.close();
  }

  private Proof invoice(Map<String, String> fields, Map<String, String> row) {
    Map<String, String> all =
        new HashMap<>(Map.of("date", "2026-03-01", "customer", "Fenwick Garden", "place", "Store"));
    all.putAll(fields);
    Map<String, String> line = new HashMap<>(Map.of("item", "BOX", "quantity", "2", "price", "10"));
    line.putAll(row);
    return book.get(Proving.class)
        .prove(new Draft(PaperKind.INVOICE, all, List.of(line)), 0, "tester");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "quantity | -3 | rows.0.quantity | must be above zero",
        "quantity | 0 | rows.0.quantity | must be above zero",
        "quantity | 2 barrels | rows.0.quantity | is not a quantity of this item",
        "quantity | 999999999999999999 | rows.0.quantity | is not a quantity",
        "price | 1e9 | rows.0.price | is not a number",
        "price | -1 | rows.0.price | A price is not below zero",
        "price | 999999999999999 | rows.0.price | larger than any amount this book can hold",
        "discount | 101 | rows.0.discount | between 0 and 100",
        "tax | Q | rows.0.tax | There is no tax rate",
        "item | OFF | rows.0.item | is switched off",
        "item | NIX | rows.0.item | is no item yet. Shall it be made one",
        "at | 11 | rows.0.at | The new price is between 0 and 10",
        "item | 1400 | rows.0.item | is a control account",
      })
  void a_bad_cell_gets_a_sentence_of_its_own(
      String column, String typed, String cell, String says) {
    assertThat(invoice(Map.of(), Map.of(column.strip(), typed.strip())).faults())
        .anySatisfy(
            f -> {
              assertThat(f.cell()).isEqualTo(cell.strip());
              assertThat(f.says()).contains(says.strip());
            });
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "date | 2025-12-31 | is before the cut-over date 2026-01-01; the books start there.",
        "date | 9 March | is not a date; write it as 2026-03-09",
        "date | 2062-03-01 | is more than a year ahead",
        "due | 2026-02-01 | which is before the paper's date",
        "place | Moon | There is no place called",
        "customer | '' | Which customer?",
      })
  void a_bad_field_gets_a_sentence_of_its_own(String field, String typed, String says) {
    assertThat(invoice(Map.of(field.strip(), typed.strip().replace("''", "")), Map.of()).faults())
        .anySatisfy(
            f -> {
              assertThat(f.cell()).isEqualTo(field.strip());
              assertThat(f.says()).contains(says.strip());
            });
  }

  @Test
  void tax_is_added_to_a_price_without_it_and_taken_out_of_a_price_with_it() {
    Trade without = (Trade) invoice(Map.of(), Map.of("tax", "S")).reading().paper().orElseThrow();
    assertThat(without.net()).isEqualTo(2000);
    assertThat(without.tax()).isEqualTo(400);
    Trade with =
        (Trade)
            invoice(Map.of("prices", "included"), Map.of("tax", "S"))
                .reading()
                .paper()
                .orElseThrow();
    assertThat(with.net()).isEqualTo(1667);
    assertThat(with.tax()).isEqualTo(333);
    Trade off =
        (Trade) invoice(Map.of(), Map.of("discount", "12.5 %")).reading().paper().orElseThrow();
    assertThat(off.net()).isEqualTo(1750);
  }

  @Test
  void a_payment_settles_what_is_open_and_no_more_and_the_rest_stays_on_account() {
    long invoice = book.invoice("2026-04-01", "BOX", "5", "10.00");
    String number =
        book.sql()
            .sql("select number from paper where id = ?")
            .param(invoice)
            .query(String.class)
            .single();
    Map<String, String> fields =
        Map.of("date", "2026-04-20", "customer", "Fenwick Garden", "money", "1000", "amount", "60");
    assertThatThrownBy(
            () ->
                book.post(
                    PaperKind.CUSTOMER_PAYMENT,
                    fields,
                    List.of(Map.of("paper", number, "amount", "50.01"))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Only 50.00 of " + number + " is open.");
    List<Map<String, String>> whole = List.of(Map.of("paper", number, "amount", "50"));
    assertThatThrownBy(() -> book.post(PaperKind.CUSTOMER_PAYMENT, fields, whole))
        .hasMessageContaining("10.00 is more than the lines settle");
    book.postAgreed(PaperKind.CUSTOMER_PAYMENT, fields, whole);
    assertThat(
            book.sql()
                .sql("select open from open_item where paper_id = ?")
                .param(invoice)
                .query(Long.class)
                .single())
        .isZero();
    assertThat(book.get(TieOutStore.class).controls(java.time.LocalDate.of(2026, 6, 30)))
        .allMatch(TieOutStore.Control::agrees);
  }

  @Test
  void an_adjustment_takes_the_latest_known_cost_and_the_reason_s_account() {
    long paper =
        book.post(
            PaperKind.ADJUSTMENT,
            Map.of("date", "2026-05-01", "place", "Store"),
            List.of(
                Map.of("item", "BOX", "quantity", "3", "reason", "Found"),
                Map.of("item", "BOX", "quantity", "-1", "reason", "Breakage")));
    assertThat(
            book.sql()
                .sql(
                    "select l.amount from journal_line l join journal j on j.id = l.journal_id join account a on a.id = l.account_id"
                        + " where j.paper_id = ? and a.code in ('5200', '5210') order by a.code")
                .param(paper)
                .query(Long.class)
                .list())
        .containsExactly(-1200L, 400L);
  }

  @Test
  void a_journal_that_does_not_balance_says_by_how_much() {
    Draft draft =
        new Draft(
            PaperKind.JOURNAL,
            Map.of("date", "2026-05-01"),
            List.of(
                Map.of("account", "6000", "debit", "10"),
                Map.of("account", "1000", "credit", "9.50")));
    assertThat(book.get(Proving.class).prove(draft, 0, "tester").faults())
        .anySatisfy(
            f ->
                assertThat(f.says())
                    .isEqualTo("Debits and credits differ by 0.50: debits are more."));
  }
}
