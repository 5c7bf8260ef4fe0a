package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.posting.Proving;
import zinctally.store.prove.PeriodStore;

/** Closed months refuse papers and never change. */
class PeriodTest {
  private static final LocalDate JANUARY = LocalDate.of(2026, 1, 1);
  private static final LocalDate FEBRUARY = LocalDate.of(2026, 2, 1);

  /**
   * By hand: 10 at 2.00 and 10 at 3.00, 4 sold in January for 8.00, closed. Voiding the first bill
   * in February makes them cost 12.00: 4.00 more, on the day of the void.
   */
  @Test
  void months_close_in_order_and_differences_fall_on_the_first_open_day() throws Exception {
    try (FreshBook book = new FreshBook()) {
      PeriodStore periods = book.get(PeriodStore.class);
      book.item("MONTH", "FIFO");
      long bill = book.bill("2026-01-10", "MONTH", "10", "2.00");
      book.bill("2026-01-12", "MONTH", "10", "3.00");
      book.invoice("2026-01-20", "MONTH", "4", "9");
      book.draft(PaperKind.BILL, Map.of("date", "2026-01-30"), FreshBook.rows("MONTH", "1", "1"));
      assertThat(periods.unsettled(JANUARY)).hasSize(1);
      assertThat(periods.unsettled(JANUARY).get(0).what()).contains("in draft");
      assertThatThrownBy(() -> periods.close(FEBRUARY, "", "tester"))
          .hasMessageContaining("the next is 2026-01");
      periods.close(JANUARY, "", "tester");
      Map<LocalDate, String> closed = book.figures();
      assertThatThrownBy(() -> book.bill("2026-01-31", "MONTH", "1", "1"))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("first open day is 2026-02-01");
      book.voidOn("2026-02-04", bill);
      Map<LocalDate, String> after = book.figures();
      closed.forEach(
          (date, figures) -> {
            if (date.isBefore(FEBRUARY)) assertThat(after.get(date)).isEqualTo(figures);
          });
      assertThat(
              book.sql()
                  .sql(
                      "select sum(l.amount) from journal_line l join account a on a.id = l.account_id"
                          + " where a.role = 'COST_OF_GOODS_SOLD' and l.date = '2026-02-04'")
                  .query(Long.class)
                  .single())
          .isEqualTo(400);
      assertThatThrownBy(() -> periods.reopen(JANUARY, "", "tester")).hasMessageContaining("Why");
      periods.reopen(JANUARY, "a bill was forgotten", "tester");
      book.bill("2026-01-31", "MONTH", "1", "1");
      assertThatThrownBy(() -> periods.close(LocalDate.of(2026, 7, 1), "", "tester"))
          .isInstanceOf(PeriodStore.Wrong.class);
    }
  }

  @Test
  void an_opening_is_refused_once_its_month_is_closed_and_says_why() throws Exception {
    try (FreshBook book = new FreshBook()) {
      book.get(PeriodStore.class).close(JANUARY, "", "tester");
      Draft sheet =
          new Draft(
              PaperKind.OPENING_STOCK,
              Map.of("columns", "code,quantity,value", "place", "Store"),
              List.of(Map.of("c0", "NEW-1", "c1", "2", "c2", "2.00")));
      Proving proving = book.get(Proving.class);
      assertThat(proving.prove(sheet, 0, "tester").faults())
          .anyMatch(
              f -> f.says().contains("An opening is of 2026-01-01, and that month is closed"));
      Draft balances =
          new Draft(
              PaperKind.OPENING_BALANCES,
              Map.of(),
              List.of(Map.of("account", "1000", "debit", "5.00")));
      assertThat(proving.prove(balances, 0, "tester").faults())
          .anyMatch(f -> f.says().contains("that month is closed"));
    }
  }
}
