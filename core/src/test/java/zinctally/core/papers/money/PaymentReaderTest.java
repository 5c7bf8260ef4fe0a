package zinctally.core.papers.money;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.apart;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.Plan;

class PaymentReaderTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 1);
  private final SmallBook book = new SmallBook();

  @BeforeEach
  void somethingIsOpen() {
    book.open.add(new OpenItem(1, ORRIN.id(), "OJ-1", DAY, DAY, -10_000, -8000, "B-2026-0001"));
    book.open.add(
        new OpenItem(2, ORRIN.id(), "RS-2026-0001", DAY, DAY, 1500, 1500, "RS-2026-0001"));
    book.open.add(new OpenItem(3, FENWICK.id(), "PO 7", DAY, DAY, 5000, 5000, "INV-2026-0001"));
    book.open.add(new OpenItem(4, FENWICK.id(), "PO 7", DAY, DAY, 2000, 2000, "INV-2026-0002"));
  }

  private static Written out(String amount) {
    return Written.of(PaperKind.SUPPLIER_PAYMENT).with("money", "1200").with("amount", amount);
  }

  private static Written in(String amount) {
    return Written.of(PaperKind.CUSTOMER_PAYMENT).with("money", "1200").with("amount", amount);
  }

  @Test
  void a_bill_is_paid_with_credit_set_against_it() {
    Payment payment =
        (Payment)
            book.paper(
                out("65.00")
                    .line("paper", "B-2026-0001", "amount", "80.00")
                    .line("paper", "RS-2026-0001", "amount", "15.00"));
    assertThat(payment.onAccount()).isZero();
    Plan plan = payment.plan(book);
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(6500);
    assertThat(on(plan, Role.MONEY)).isEqualTo(-6500);
    assertThat(plan.settlements())
        .containsExactly(
            new Plan.Settlement(1, new Money(8000)), new Plan.Settlement(2, new Money(-1500)));
    assertThat(plan.dues()).isEmpty();
  }

  @Test
  void what_settles_nothing_stays_on_account_once_that_is_meant() {
    Written more = in("60.00").line("paper", "INV-2026-0001", "amount", "50.00");
    assertThat(book.faults(more)).singleElement().asString().startsWith("amount: 10.00");
    Plan plan = book.plan(more.agreed(book));
    assertThat(plan.dues())
        .singleElement()
        .satisfies(d -> assertThat(d.amount().minor()).isEqualTo(-1000));
    assertThat(plan.settlements()).containsExactly(new Plan.Settlement(3, new Money(-5000)));
    assertThat(apart(plan)).isZero();
  }

  @ParameterizedTest
  @CsvSource({"45.00, 500", "49.99, 1"})
  void a_small_rest_of_up_to_five_is_written_off(String paid, long rest) {
    Plan plan =
        book.plan(in(paid).with("rest", "off").line("paper", "INV-2026-0001", "amount", "50.00"));
    assertThat(on(plan, RENT)).isEqualTo(rest);
    assertThat(on(plan, Role.RECEIVABLES)).isEqualTo(-5000);
    assertThat(apart(plan)).isZero();
  }

  @Test
  void a_rest_of_more_than_five_is_not_small() {
    Written paid = in("44.99").line("paper", "INV-2026-0001", "amount", "50.00");
    assertThat(book.faults(paid.with("rest", "off")))
        .containsExactly("rest: 5.01 is no small rest; up to 5.00 is written off here.");
    assertThat(book.faults(paid.with("rest", "")))
        .containsExactly("amount: The lines settle 50.00, more than the 44.99 paid.");
  }

  @Test
  void two_papers_with_one_number_of_theirs_are_told_apart_by_ours() {
    Plan plan =
        book.plan(
            in("70.00")
                .line("paper", "INV-2026-0002", "amount", "20.00")
                .line("paper", "INV-2026-0001", "amount", "50.00"));
    assertThat(plan.settlements()).extracting(Plan.Settlement::openItem).containsExactly(4L, 3L);
    Plan theirs =
        book.plan(
            in("70.00")
                .line("paper", "PO 7", "amount", "50.00")
                .line("paper", "PO 7", "amount", "20.00"));
    assertThat(theirs.settlements()).extracting(Plan.Settlement::openItem).containsExactly(3L, 4L);
  }

  @Test
  void money_comes_back_for_credit_alone() {
    Plan plan = book.plan(out("-15.00").line("paper", "RS-2026-0001", "amount", "15.00"));
    assertThat(on(plan, Role.MONEY)).isEqualTo(1500);
    assertThat(book.faults(out("-10.00").line("paper", "RS-2026-0001", "amount", "15.00")))
        .singleElement()
        .asString()
        .startsWith("amount: Money comes back for credit: the lines come to −15.00");
  }

  @Test
  void what_cannot_be_settled_is_said_at_its_cell() {
    assertThat(book.faults(out("81.00").line("paper", "B-2026-0001", "amount", "80.01")).get(0))
        .isEqualTo("rows.0.amount: Only 80.00 of B-2026-0001 is open.");
    assertThat(book.faults(out("1").line("paper", "B-9", "amount", "1")).get(0))
        .isEqualTo("rows.0.paper: Nothing numbered \"B-9\" is open here.");
    assertThat(
            book.faults(
                out("20")
                    .line("paper", "B-2026-0001", "amount", "10")
                    .line("paper", "B-2026-0001", "amount", "10")))
        .anyMatch(f -> f.startsWith("rows.1.paper: ") && f.contains("already on a line above"));
    assertThat(book.faults(out("")))
        .singleElement()
        .asString()
        .startsWith("amount: How much money?");
    assertThat(book.faults(out("1").with("money", "7000")).get(0))
        .isEqualTo("money: 7000 Rent is no bank or cash account in use.");
    assertThat(book.faults(out("1").with("money", "1299")).get(0))
        .isEqualTo("money: 1299 Old bank is no bank or cash account in use.");
    assertThat(book.faults(out("1").with("money", "")).get(0))
        .startsWith("money: From or to which bank");
  }
}
