package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Papers of thousands of lines. */
class LongPapersTest extends OneBookTest {
  private static final int LINES = 5000;

  @Test
  void a_bill_and_an_invoice_of_five_thousand_lines_are_posted_and_voided() {
    for (int i = 0; i < 50; i++) book.item("LONG-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < LINES; i++) cells.addAll(List.of("LONG-" + i % 50, "1", "2.00"));
    String[] lines = cells.toArray(String[]::new);
    long bill = book.bill("2026-02-01", lines);
    long invoice = book.invoice("2026-02-02", lines);
    assertThat(
            book.sql()
                .sql("select count(*) from paper_line where paper_id in (?, ?)")
                .params(bill, invoice)
                .query(Integer.class)
                .single())
        .isEqualTo(2 * LINES);
    book.voidOn("2026-02-02", invoice);
  }
}
