package zinctally.core.papers.money;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.RENT;
import static zinctally.core.papers.SmallBook.on;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.plan.Plan;

class AccountRowsReaderTest {
  private final SmallBook book = new SmallBook();

  private static Written journal() {
    return Written.of(PaperKind.JOURNAL);
  }

  @Test
  void a_journal_balances_or_says_by_how_much_it_does_not() {
    Written rent = journal().line("account", "7000", "debit", "12.50", "item", "HIVE");
    assertThat(book.faults(rent))
        .containsExactly(": Debits and credits differ by 12.50: debits are more.");
    Plan plan = book.plan(rent.line("account", "1200", "credit", "12.50"));
    assertThat(on(plan, RENT)).isEqualTo(1250);
    assertThat(on(plan, Role.MONEY)).isEqualTo(-1250);
    assertThat(plan.lines().get(0).item()).isEqualTo(SmallBook.HIVE.id());
    assertThat(book.paper(rent).total()).isEqualTo(1250);
    assertThat(book.faults(rent.line("account", "1200", "credit", "1")))
        .containsExactly(": Debits and credits differ by 1.00: credits are more.");
  }

  @Test
  void a_line_has_either_a_debit_or_a_credit_of_an_account_that_is_there() {
    assertThat(book.faults(journal().line("account", "7000", "debit", "1", "credit", "1")))
        .contains("rows.0.credit: A line has either a debit or a credit.");
    assertThat(book.faults(journal().line("account", "7000")))
        .contains("rows.0.debit: A line has either a debit or a credit.");
    assertThat(book.faults(journal().line("account", "9", "debit", "1")))
        .contains("rows.0.account: There is no account \"9\".");
    assertThat(book.faults(journal().line("debit", "1")))
        .contains("rows.0.account: Which account?");
    assertThat(book.faults(journal()))
        .containsExactly("rows.0.account: There is no line yet: an account and a debit or credit.");
  }

  @Test
  void a_control_account_is_written_on_with_a_reason_that_is_noted() {
    Written stock =
        journal().line("account", "1400", "debit", "5").line("account", "7000", "credit", "5");
    assertThat(book.faults(stock))
        .singleElement()
        .asString()
        .contains("say why in the override field");
    assertThat(book.faults(stock.with("override", "old fault"))).isEmpty();
    assertThat(book.notes(stock)).singleElement().asString().contains("what keeps books apart");
  }

  @Test
  void opening_balances_stand_against_opening_clearing_on_the_first_day() {
    Written opening =
        Written.of(PaperKind.OPENING_BALANCES)
            .line("account", "1200", "debit", "100")
            .line("account", "7000", "credit", "30");
    Plan plan = book.plan(opening);
    assertThat(on(plan, Role.OPENING_CLEARING)).isEqualTo(-7000);
    assertThat(book.paper(opening).date()).isEqualTo(LocalDate.of(2025, 1, 1));
    assertThat(book.faults(opening.line("account", "1400", "debit", "1")))
        .singleElement()
        .asString()
        .contains("it builds up from the items: enter Opening stock");
    book.firstOpenDay = LocalDate.of(2025, 2, 1);
    assertThat(book.faults(opening)).anyMatch(f -> f.contains("that month is closed"));
  }

  @Test
  void open_bills_and_invoices_stand_against_opening_clearing() {
    Written opening =
        Written.of(PaperKind.OPENING_PARTIES)
            .line("side", "bill", "party", "Orrin Joinery", "number", "1", "amount", "50")
            .line("side", "invoice", "party", "Fenwick Garden", "number", "2", "amount", "80")
            .line(
                "side", "customer credit", "party", "Fenwick Garden", "number", "3", "amount", "5")
            .line(
                "side", "supplier credit", "party", "Orrin Joinery", "number", "4", "amount", "7");
    Plan plan = book.plan(opening);
    assertThat(on(plan, Role.PAYABLES)).isEqualTo(-4300);
    assertThat(on(plan, Role.RECEIVABLES)).isEqualTo(7500);
    assertThat(on(plan, Role.OPENING_CLEARING)).isEqualTo(-3200);
    assertThat(plan.dues())
        .extracting(d -> d.amount().minor())
        .containsExactly(-5000L, 8000L, -500L, 700L);
    Written wrong = Written.of(PaperKind.OPENING_PARTIES);
    assertThat(
            book.faults(
                wrong.line(
                    "side", "bil", "party", "Orrin Joinery", "amount", "0", "date", "2025-01-02")))
        .extracting(f -> f.substring(0, f.indexOf(':')))
        .containsExactly("rows.0.side", "rows.0.number", "rows.0.date", "rows.0.amount");
  }
}
