package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import zinctally.core.number.Money;
import zinctally.core.statement.Beside;
import zinctally.core.statement.BookYear;
import zinctally.core.statement.Column;
import zinctally.core.statement.Statement;
import zinctally.core.statement.Statements;
import zinctally.store.question.ReadyQuestions;
import zinctally.store.statement.BalancesStore;
import zinctally.store.statement.LayoutStore;

/** The demo's statements at every month's end, against sums of its ledger by SQL alone. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class DemoStatementsTest {
  private Desk desk;

  @BeforeAll
  void open() {
    desk = new Desk("demo");
  }

  @AfterAll
  void close() {
    desk.close();
  }

  private Money sum(String which, LocalDate from, LocalDate to) {
    return new Money(
        desk.sql()
            .sql(
                "select coalesce(sum(l.amount), 0) from journal_line l"
                    + " join account a on a.id = l.account_id where l.date between ? and ? and "
                    + which)
            .params(from, to)
            .query(Long.class)
            .single());
  }

  @Test
  void statements_are_the_ledgers_at_every_months_end() {
    LocalDate begin = LocalDate.of(2000, 1, 1);
    BookYear year = desk.get(LayoutStore.class).year();
    Statements statements =
        new Statements(
            desk.get(LayoutStore.class).layout(), desk.get(BalancesStore.class).balances(), year);
    int months = 0;
    for (LocalDate from = LocalDate.of(2025, 9, 1);
        from.isBefore(LocalDate.of(2026, 12, 1));
        from = from.plusMonths(1), months++) {
      LocalDate to = from.plusMonths(1).minusDays(1);
      List<Column> columns = Beside.NOTHING.columns(from, to, year);
      Statement result = statements.profitAndLoss(columns);
      assertThat(result.amount("Profit", 0))
          .isEqualTo(sum("a.kind in ('INCOME', 'EXPENSE')", from, to).negated());
      Statement position = statements.balanceSheet(columns);
      assertThat(position.amount("Assets, in all", 0))
          .isEqualTo(sum("a.kind = 'ASSET'", begin, to))
          .isEqualTo(position.amount("Equity and liabilities, in all", 0));
      assertThat(
              position
                  .amount("Profit of past years", 0)
                  .plus(position.amount("Profit of this year", 0)))
          .isEqualTo(sum("a.kind in ('INCOME', 'EXPENSE')", begin, to).negated());
      Statement cash = statements.cashFlow(columns);
      assertThat(cash.amount("Cash at the end", 0)).isEqualTo(sum("a.role = 'MONEY'", begin, to));
      assertThat(cash.amount("Cash at the start", 0))
          .isEqualTo(
              months == 0
                  ? cash.amount("Cash at the start", 0)
                  : sum("a.role = 'MONEY'", begin, from.minusDays(1)));
    }
    assertThat(months).isEqualTo(15);
  }

  @Test
  void every_ready_answer_has_something_to_say_or_says_that_there_is_nothing() {
    var page = desk.signedIn("bookkeeper");
    for (ReadyQuestions.Ready ready : ReadyQuestions.ALL) {
      page.navigate(desk.address + "/ask/build?" + ready.asked());
      assertThat(page.isVisible("#rows")).as(ready.name()).isTrue();
      assertThat(page.querySelectorAll("#answer .wrong")).as(ready.name()).isEmpty();
    }
  }
}
