package zinctally.core.papers.trade;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.SALES;
import static zinctally.core.papers.SmallBook.apart;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.plan.Plan;

class CounterReaderTest {
  private static final long CASH = 60;
  private static final long CARD = 61;
  private final SmallBook book = new SmallBook();

  /** Two hives of 10.00 each, with tax of 20 %: 24.00 to pay. */
  private static Written sale() {
    return Written.of(PaperKind.COUNTER_SALE)
        .line("item", "HIVE", "quantity", "2", "price", "10.00", "tax", "S");
  }

  @Test
  void what_is_given_in_cash_beyond_the_rest_is_change() {
    CounterSale sale = (CounterSale) book.paper(sale().with("card", "14.00").with("cash", "20"));
    assertThat(sale.given()).isEqualTo(2000);
    assertThat(sale.change()).isEqualTo(1000);
    Plan plan = sale.plan(book);
    assertThat(on(plan, CASH)).isEqualTo(1000);
    assertThat(on(plan, CARD)).isEqualTo(1400);
    assertThat(on(plan, SALES)).isEqualTo(-2000);
    assertThat(apart(plan)).isZero();
    assertThat(plan.dues()).isEmpty();
    assertThat(sale.sums()).extracting(s -> s.words()).endsWith("Cash given", "Change");
  }

  @ParameterizedTest
  @CsvSource({
    "cash, '', 'cash: 24.00 is still to be paid: in cash, by card or otherwise.'",
    "cash, 23.99, 'cash: 24.00 is to be paid in cash and 23.99 is given; 0.01 is missing.'",
    "card, 24.01, 'card: 24.01 would be paid of 24.00; change is given on cash only.'",
    "voucher, 30, 'voucher: 30.00 would be paid of 24.00; change is given on cash only.'",
    "seller, XX, 'seller: Nobody here has the initials \"XX\".'",
    "credit, RC-9, 'credit: Fenwick Garden has no open credit \"RC-9\".'",
  })
  void what_is_not_paid_rightly_is_said(String field, String typed, String says) {
    Written sale = sale();
    if (!field.equals("cash") && !field.equals("card") && !field.equals("voucher"))
      sale.with("cash", "24");
    assertThat(book.faults(sale.with(field, typed))).containsExactly(says);
    assertThat(book.read(sale).toPay().total()).isEqualTo(2400);
  }

  @Test
  void exactly_what_is_to_be_paid_gives_no_change() {
    assertThat(((CounterSale) book.paper(sale().with("cash", "24"))).change()).isZero();
    assertThat(((CounterSale) book.paper(sale().with("card", "24"))).tenders()).hasSize(1);
  }

  @Test
  void credit_pays_as_much_as_is_still_to_be_paid() {
    book.open.add(
        new OpenItem(
            7, FENWICK.id(), "RC-1", LocalDate.EPOCH, LocalDate.EPOCH, -3000, -3000, "RC-1"));
    CounterSale all = (CounterSale) book.paper(sale().with("credit", "rc-1"));
    assertThat(all.credit().amount()).isEqualTo(2400);
    assertThat(apart(all.plan(book))).isZero();
    assertThat(all.plan(book).settlements())
        .containsExactly(new Plan.Settlement(7, new Money(2400)));
    CounterSale part = (CounterSale) book.paper(sale().with("credit", "RC-1").with("card", "4"));
    assertThat(part.credit().amount()).isEqualTo(2000);
    assertThat(book.faults(sale().with("credit", "RC-1").with("card", "24")))
        .containsExactly("credit: Nothing is left that it could pay; take it off.");
  }

  @Test
  void what_is_owed_falls_due_by_terms_or_by_instalments_and_needs_a_name() {
    Written owing = sale().with("account", "24");
    assertThat(((CounterSale) book.paper(owing)).later())
        .containsExactly(new Instalments.Part(LocalDate.of(2026, 12, 20), 2400));
    Plan plan = book.plan(owing.with("times", "5").with("every", "month"));
    assertThat(plan.dues())
        .extracting(d -> d.amount().minor())
        .containsExactly(480L, 480L, 480L, 480L, 480L);
    assertThat(on(plan, Role.RECEIVABLES)).isEqualTo(2400);
    assertThat(apart(plan)).isZero();
    assertThat(book.faults(owing.with("every", "")).get(0)).startsWith("every: How often");
    assertThat(book.faults(owing.with("every", "week").with("each", "5.00")).get(0))
        .startsWith("each: How many parts, or how much each");
    assertThat(book.plan(owing.with("times", "")).dues())
        .extracting(d -> d.amount().minor())
        .containsExactly(500L, 500L, 500L, 500L, 400L);
    assertThat(
            book.faults(sale().with("account", "24").with("times", "121").with("every", "week"))
                .get(0))
        .startsWith("times: A plan has between 1 and 120 parts");
    assertThat(book.faults(sale().with("account", "24").with("customer", "")).get(0))
        .startsWith("customer: Who owes 24.00?");
  }

  @Test
  void who_sells_is_named_by_initials_and_nobody_need_buy() {
    CounterSale sale =
        (CounterSale)
            book.paper(sale().with("seller", "MW").with("cash", "24").with("customer", ""));
    assertThat(sale.seller()).isEqualTo("counter");
    assertThat(sale.party().orElseThrow().name()).isEqualTo(CounterSale.NOBODY);
    assertThat(sale.counter()).contains(SmallBook.BARN);
    assertThat(sale.head().net()).isEqualTo(2000);
    assertThat(sale.rows()).hasSize(1);
  }

  @Test
  void a_scan_without_a_quantity_is_one() {
    Written one = Written.of(PaperKind.COUNTER_SALE).line("item", "HIVE", "price", "10.00");
    assertThat(book.read(one).toPay().total()).isEqualTo(1000);
    assertThat(book.read(one).unpaid()).isPresent();
  }
}
