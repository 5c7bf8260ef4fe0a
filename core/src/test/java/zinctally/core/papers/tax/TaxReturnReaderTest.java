package zinctally.core.papers.tax;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.on;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.tax.TaxBox.Counts;

/**
 * A quarter with sales of 1,000.00 at 20 % and 400.00 at 5 %, purchases of 300.00 at 20 %, and a
 * sale of 50.00 of the quarter before that came late.
 */
class TaxReturnReaderTest {
  private final SmallBook book = new SmallBook();
  private long sales;
  private long purchases;

  @BeforeEach
  void aQuarter() {
    sales = book.account(Role.SALES_TAX).id();
    purchases = book.account(Role.PURCHASE_TAX).id();
    book.taxDue.add(new TaxDue(sales, Role.SALES_TAX, "S", 5000, 1000, true));
    book.taxDue.add(new TaxDue(sales, Role.SALES_TAX, "S", 100_000, 20_000, false));
    book.taxDue.add(new TaxDue(sales, Role.SALES_TAX, "R", 40_000, 2000, false));
    book.taxDue.add(new TaxDue(purchases, Role.PURCHASE_TAX, "S", 30_000, 6000, false));
    book.taxBoxes =
        new TaxBoxes(
            List.of(
                new TaxBox("1a", "Tax at the full rate", Counts.SALES_TAX, "S"),
                new TaxBox("1b", "Tax at other rates", Counts.SALES_TAX, "R, Z"),
                new TaxBox("2", "Tax on purchases", Counts.PURCHASE_TAX, ""),
                new TaxBox("3", "To pay", Counts.BOXES, "1a + 1b - 2"),
                new TaxBox("4", "Sales", Counts.SALES, ""),
                new TaxBox("5", "Purchases", Counts.PURCHASES, "S")));
  }

  private static Written of(String pay) {
    return Written.of(PaperKind.TAX_RETURN)
        .with("supplier", "Orrin Joinery")
        .with("date", "2026-10-05")
        .with("from", "2026-07-01")
        .with("to", "2026-09-30")
        .with("pay", pay);
  }

  @Test
  void each_box_is_what_its_rates_come_to_and_boxes_add_up_those_above() {
    TaxReturn read = (TaxReturn) book.paper(of("170.00"));
    assertThat(read.boxes().stream().map(TaxBoxes.Filled::amount))
        .containsExactly(21_000L, 2000L, 6000L, 17_000L, 145_000L, 30_000L);
    assertThat(read.sums().stream().map(s -> s.words() + " " + s.amount()))
        .contains("Of it from before 2026-07-01 1000", "To pay 17000");
  }

  @Test
  void it_empties_the_tax_accounts_and_is_owed_to_the_office() {
    Plan plan = book.paper(of("170.00")).plan(book);
    assertThat(on(plan, Role.SALES_TAX)).isEqualTo(23_000);
    assertThat(on(plan, Role.PURCHASE_TAX)).isEqualTo(-6000);
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(-17_000);
    assertThat(plan.dues())
        .singleElement()
        .extracting(Plan.Due::amount)
        .isEqualTo(new Money(-17_000));
  }

  @Test
  void the_office_owes_what_was_paid_too_much() {
    book.taxDue.add(new TaxDue(purchases, Role.PURCHASE_TAX, "S", 100_000, 20_000, false));
    TaxReturn read = (TaxReturn) book.paper(of("-30.00"));
    assertThat(read.plan(book).dues())
        .singleElement()
        .extracting(Plan.Due::amount)
        .isEqualTo(new Money(3000));
    assertThat(read.sums())
        .last()
        .extracting("words", "amount")
        .containsExactly("The office owes", 3000L);
  }

  @Test
  void what_comes_to_nothing_is_declared_and_owes_nothing() {
    book.taxDue.clear();
    book.taxDue.add(new TaxDue(sales, Role.SALES_TAX, "Z", 9000, 0, false));
    Plan plan = book.paper(of("0")).plan(book);
    assertThat(plan.lines()).isEmpty();
    assertThat(plan.dues()).isEmpty();
  }

  @Test
  void tax_in_no_box_is_said() {
    book.taxDue.add(new TaxDue(sales, Role.SALES_TAX, TaxDue.BY_HAND, 0, 300, false));
    assertThat(book.read(of("173.00")).notes())
        .extracting(Fault::says)
        .containsExactly("3.00 at by hand stands in no box; it is declared all the same.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "pay  | 169.99      | pay  | By the book 170.00 is to be paid",
        "pay  |             | pay  | By the book it is 170.00",
        "pay  | lots        | pay  | not a number",
        "date | 2026-09-29  | date | date it 2026-09-30 or later",
        "to   | 2026-06-30  | to   | before they begin",
        "from | whenever    | from | not a date"
      })
  void a_return_that_is_not_right_is_refused(String field, String typed, String cell, String says) {
    List<Fault> faults = book.read(of("170.00").with(field, typed == null ? "" : typed)).faults();
    assertThat(faults).singleElement().extracting(Fault::cell).isEqualTo(cell);
    assertThat(faults.get(0).says()).contains(says);
  }

  @Test
  void nothing_is_declared_twice() {
    book.taxDue.clear();
    assertThat(book.read(of("0")).faults())
        .extracting(Fault::says)
        .containsExactly("No tax up to 2026-09-30 waits to be declared.");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "SALES_TAX | S, R    |",
        "SALES_TAX | S, Q    | There is no tax rate \"Q\"",
        "BOXES     | 1 + 2   |",
        "BOXES     | -1 - 2  |",
        "BOXES     | 1 + 9   | No box 9 stands above 3.",
        "BOXES     | 1 + + 2 | Which boxes does 3 add up?",
        "BOXES     |         | Which boxes does 3 add up?"
      })
  void a_box_counts_rates_that_are_there_and_boxes_above_it(
      Counts counts, String of, String wrong) {
    var said =
        new TaxBox("3", "Words", counts, of == null ? "" : of)
            .wrong(List.of("1", "2"), List.of("S", "R"));
    if (wrong == null) assertThat(said).isEmpty();
    else assertThat(said.orElseThrow()).contains(wrong);
  }
}
