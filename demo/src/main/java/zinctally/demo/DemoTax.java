package zinctally.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.tax.TaxDays;
import zinctally.store.book.BookStore;
import zinctally.store.tax.TaxReturnStore;

/** Each quarter's tax is declared and paid; the last one that is over still waits. */
@Component
class DemoTax {
  private static final String OFFICE = "Vale Revenue Office";
  private final DemoPapers papers;
  private final TaxReturnStore returns;
  private final BookStore books;
  private final JdbcClient sql;

  DemoTax(DemoPapers papers, TaxReturnStore returns, BookStore books, JdbcClient sql) {
    this.papers = papers;
    this.returns = returns;
    this.books = books;
    this.sql = sql;
  }

  /** Declares on the first working day from the 20th on, while the books are written day by day. */
  void day(LocalDate day) {
    if (day.getMonthValue() % 3 != 1 || day.isAfter(LocalDate.of(2026, 9, 30))) return;
    LocalDate usual = day.withDayOfMonth(20);
    if (!day.equals(usual.getDayOfWeek() == DayOfWeek.SUNDAY ? usual.plusDays(1) : usual)) return;
    TaxDays quarter = TaxDays.quarterBefore(day);
    if (quarter.to().isBefore(DemoOpening.CUT_OVER)) return;
    LocalDate from = returns.latest().isEmpty() ? DemoOpening.CUT_OVER : quarter.from();
    String number = declare(day, new TaxDays(from, quarter.to()));
    String amount = amount(number);
    if (amount.startsWith("-")) return;
    papers.post(
        PaperKind.SUPPLIER_PAYMENT,
        Map.of("supplier", OFFICE, "date", day.toString(), "money", "1000", "amount", amount),
        Map.of("paper", number, "amount", amount));
  }

  private String declare(LocalDate day, TaxDays days) {
    return papers.post(
        PaperKind.TAX_RETURN,
        Map.of(
            "supplier", OFFICE,
            "date", day.toString(),
            "due", day.plusDays(10).toString(),
            "from", days.from().toString(),
            "to", days.to().toString(),
            "pay", books.book().coin().plain(returns.waiting(days).toPay())),
        List.of());
  }

  private String amount(String number) {
    return books
        .book()
        .coin()
        .plain(
            sql.sql("select total from paper where number = ?")
                .param(number)
                .query(Long.class)
                .single());
  }
}
