package zinctally.store.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.core.papers.PaperKind;
import zinctally.store.FreshBook;

class CheckTest {
  private static FreshBook book;

  @BeforeAll
  static void open() {
    book = new FreshBook();
    book.item("ONE", "FIFO");
    book.item("TWO", "AVERAGE");
    for (int i = 0; i < 120; i++) {
      book.bill("2026-02-01", "ONE", "3", "2.00", "TWO", "2", "1.25");
      book.invoice("2026-02-02", "ONE", "1", "5", "TWO", "1", "3");
    }
    long late = book.bill("2026-01-15", "ONE", "1", "1.00", "TWO", "1", "1");
    book.voidOn("2026-01-20", late);
    numbered();
    book.post(
        PaperKind.SUPPLIER_PAYMENT,
        Map.of("date", "2026-02-05", "supplier", "Orrin Joinery", "money", "1000", "amount", "7"),
        List.of());
  }

  /** Serial numbers received, some of them billed for more than expected. */
  private static void numbered() {
    book.item("SER", "SPECIFIC");
    book.sql().sql("update item set tracking = 'SERIAL' where code = 'SER'").update();
    Map<String, String> head =
        Map.of("date", "2026-02-03", "supplier", "Brenn Metalwork", "place", "Store");
    long receipt =
        book.post(
            PaperKind.RECEIPT,
            head,
            List.of(Map.of("item", "SER", "quantity", "3", "price", "5", "numbers", "3 from S-1")));
    String number =
        book.sql()
            .sql("select number from paper where id = ?")
            .param(receipt)
            .query(String.class)
            .single();
    book.post(
        PaperKind.BILL,
        head,
        List.of(Map.of("of", number, "item", "SER", "quantity", "2", "price", "6")));
  }

  @AfterAll
  static void close() {
    book.close();
  }

  private static int run(ByteArrayOutputStream out) {
    return CheckCommand.say(book.get(CheckStore.class).findings(), new PrintStream(out));
  }

  @Test
  void a_sound_book_holds_and_says_so() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    assertThat(run(out)).isZero();
    assertThat(out.toString()).contains("All 22 hold.").doesNotContain("FAULT");
  }

  /** Whatever single figure is falsified, something no longer holds. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "update journal_line set amount = amount + 1 order by id limit 1",
        "update journal_line set date = '2026-03-01' order by id desc limit 1",
        "update account_month set debit = debit + 1 limit 1",
        "update cost_entry set value = value + 1 order by id limit 1",
        "update cost_entry set posting_date = '2026-03-01' order by id limit 1",
        "update cost_entry set journal_id = 0 order by id limit 1",
        "update item_month set quantity = quantity + 1 limit 1",
        "update stock_month set value = value + 1 limit 1",
        "update stock_account_month set amount = amount + 1 limit 1",
        "update cost_pool set worth = worth + 1 limit 1",
        "update cost_pool set layers = replace(layers, ',', ',1') where item_id = 1",
        "update cost_event set booked = booked + 1 order by id limit 1",
        "update cost_event set charges = 1 order by id limit 1",
        "update cost_event set value = value + 1 where kind = 'IN' and not gone order by id limit 1",
        "update cost_checkpoint set layers = replace(layers, ',', ',1') limit 1",
        "update place_stock set quantity = quantity + 1 limit 1",
        "delete from quantity_move order by id limit 1",
        "update open_item set open = open + 1 limit 1",
        "delete from paper_version order by paper_id limit 1",
        "update paper_number set last = last + 1 limit 1",
        "update awaited set open_quantity = open_quantity + 1 order by id limit 1",
        "update awaited set value = value + 1, open_value = open_value + 1 where value > 0 limit 1",
        "update fulfilment set date = '2026-03-01' where value <> 0 order by id limit 1",
        "delete from fulfilment order by id limit 1",
        "update lot_stock set quantity = quantity + 1 order by lot_id limit 1",
        "update lot set on_hand = on_hand + 1 order by id limit 1",
        "update quantity_move set lot_id = 0 where lot_id <> 0 order by id limit 1",
        "update draft set paper_id = 99999 order by id limit 1"
      })
  void a_falsified_figure_is_found(String falsify) {
    book.get(TransactionTemplate.class)
        .executeWithoutResult(
            status -> {
              assertThat(book.sql().sql(falsify).update()).isPositive();
              assertThat(book.get(CheckStore.class).findings())
                  .anyMatch(finding -> !finding.holds());
              status.setRollbackOnly();
            });
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
  }
}
