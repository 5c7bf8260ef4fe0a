package zinctally.store.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.support.TransactionTemplate;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.store.FreshBook;
import zinctally.store.book.BookStore;
import zinctally.store.count.CountClosing;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Counting;
import zinctally.store.count.Scope;
import zinctally.store.posting.Posting;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;

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
        List.of(Map.of("paper", "B-2026-0001", "amount", "7")));
    till();
    lots();
    count();
    made();
    mended();
    consigned();
    book.sql().sql("insert into place (name) values ('Van')").update();
    book.paper(
        PaperKind.TRANSFER,
        "2026-02-05",
        Map.of("into", "Van", "sent", "yes"),
        "item quantity",
        "ONE",
        "1");
  }

  /** A till through which one was sold, closed with what should be in it. */
  private static void till() {
    long till = book.get(TillStore.class).open("Store", 1000, "tester");
    book.post(
        PaperKind.COUNTER_SALE,
        Map.of("date", "2026-02-04", "place", "Store", "cash", "5"),
        FreshBook.rows("ONE", "1", "5"));
    book.get(TillClosing.class).close(till, 1500, "tester");
  }

  /** One of an item is missing. */
  private static void count() {
    long sheet =
        book.get(CountSheets.class)
            .begin(
                new CountSheets.Wanted(
                    "Store",
                    LocalDate.of(2026, 2, 5),
                    Scope.ITEMS,
                    "ONE",
                    new CountSheet.Rules(false, false, null, null)),
                "tester");
    long one = book.sql().sql("select id from item where code = 'ONE'").query(Long.class).single();
    Quantity here = book.get(CountLines.class).of(sheet, one, 0).orElseThrow().expected();
    book.get(Counting.class)
        .enter(
            sheet, new Counting.Counted(one, 0, here.minus(Quantity.of("1")), "", null), "tester");
    book.get(Posting.class)
        .post(
            book.get(CountClosing.class).close(sheet, Optional.empty(), "tester").orElseThrow(),
            "tester");
  }

  /** One of an item is out for repair, and one of a customer's is here. */
  private static void mended() {
    book.paper(PaperKind.REPAIR_OUT, "2026-02-05", Map.of(), "item quantity", "ONE", "1");
    book.paper(PaperKind.TAKEN_IN, "2026-02-05", Map.of(), "item quantity", "ONE", "1");
  }

  /** Of three of a supplier's, one is sold. */
  private static void consigned() {
    book.item("CON", "FIFO");
    book.paper(PaperKind.AGREEMENT, "2026-02-05", Map.of(), "item cost", "CON", "4");
    book.paper(PaperKind.CONSIGNMENT_IN, "2026-02-05", Map.of(), "item quantity", "CON", "3");
    book.invoice("2026-02-06", "CON", "1", "9");
  }

  /** A kit of two of an item. */
  private static void made() {
    book.item("KIT", "FIFO");
    book.paper(
        PaperKind.ASSEMBLY,
        "2026-02-05",
        Map.of("item", "KIT", "quantity", "1"),
        "item quantity amount",
        "ONE",
        "1",
        "",
        "6100",
        "",
        "0.50");
  }

  /** Five of a lot were sold, two came back. */
  private static void lots() {
    book.item("LOT", "FIFO");
    book.sql().sql("update item set tracking = 'LOT' where code = 'LOT'").update();
    Map<String, String> numbers =
        Map.of("item", "LOT", "quantity", "9", "price", "5", "numbers", "L-1: 9");
    Map<String, String> head =
        Map.of(
            "date",
            "2026-02-03",
            "supplier",
            "Brenn Metalwork",
            "place",
            "Store",
            "customer",
            "Fenwick Garden");
    book.post(PaperKind.RECEIPT, head, List.of(numbers));
    long sale =
        book.post(
            PaperKind.INVOICE,
            head,
            List.of(Map.of("item", "LOT", "quantity", "5", "price", "9", "numbers", "L-1: 5")));
    book.post(
        PaperKind.CUSTOMER_RETURN,
        head,
        List.of(
            Map.of(
                "paper", book.number(sale), "item", "LOT", "quantity", "2", "numbers", "L-1: 2")));
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
    return run(book, out);
  }

  private static int run(FreshBook book, ByteArrayOutputStream out) {
    return CheckCommand.check(
        book.get(BookStore.class), book.get(CheckStore.class), new PrintStream(out));
  }

  @Test
  void in_a_book_that_is_not_set_up_yet_nothing_is_wrong() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (FreshBook empty = FreshBook.in(FreshBook.newSchema())) {
      assertThat(run(empty, out)).isZero();
    }
    assertThat(out.toString()).contains("nothing to check");
  }

  @Test
  void a_sound_book_holds_and_says_so() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    assertThat(run(out)).isZero();
    assertThat(out.toString()).contains("All 48 hold.").doesNotContain("FAULT");
  }

  /** Whatever single figure is falsified, something no longer holds. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "update party set merged_into = 1 where id = 2",
        "update journal_line set amount = amount + 1 order by id limit 1",
        "update journal_line set date = '2026-03-01' order by id desc limit 1",
        "update tax_entry set tax = tax + 1 order by id limit 1",
        "update tax_entry e join paper p on p.id = e.paper_id set e.base = e.base + 1"
            + " where p.state = 'VOID'",
        "update account_month set debit = debit + 1 limit 1",
        "update cost_entry set value = value + 1 order by id limit 1",
        "update cost_entry set posting_date = '2026-03-01' order by id limit 1",
        "update cost_entry set journal_id = 0 order by id limit 1",
        "update item_month set quantity = quantity + 1 limit 1",
        "update stock_month set value = value + 1 limit 1",
        "update stock_account_month set amount = amount + 1 limit 1",
        "update stock_account_year set amount = amount + 1 limit 1",
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
        "update count_entry set quantity = quantity + 1",
        "update count_line set counted = counted + 1",
        "update count_sheet set paper_id = null",
        "update making set charges = charges + 1",
        "delete from made_of where weight is null",
        "delete from made_of where weight is not null",
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

  /** Each of these is found by the rule that is made for it. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          update place_stock set quantity = quantity + 1 where place_id = (select max(id) from place where kind = 'WAY') | what is on the way is what was sent
          update place_stock set quantity = quantity + 1 where place_id = (select id from place where kind = 'REPAIRER') | what is at repairers is what went out
          update place_stock set quantity = quantity + 1 where place_id = (select p.id from place p join party o on o.id = p.owner_id where o.kind = 'CUSTOMER') | what is here of customers' goods
          update place set owner_id = null where owner_id is not null | what of ours is at all places together
          update cost_event set line = 77 where kind = 'OUT' and not gone order by id limit 1 | was sold has its cost
          update till set counted = counted + 1 | through a till that is closed
          update quantity_move set quantity = quantity * 3 where paper_id = (select max(id) from paper where kind = 'CUSTOMER_RETURN') | of no lot more has come back
          update cost_event set contra_account = (select id from account where code = '6300') where contra_account <> 0 order by id limit 1 | cost of goods sold of each item
          update cost_entry set journal_id = 0 where value <> 0 order by id limit 1 | nothing stands alone
          update cost_event set booked = booked + 1 where id = (select max(event_id) from made_of where weight is not null) | is worth what its components cost
          update made_of set weight = 1 where weight is null | are those of the paper
          update quantity_move set item_id = (select id from item where code = 'ONE') where part = 5000 | with every paper, what of ours moved
          update awaited set quantity = quantity + 1000000, open_quantity = open_quantity + 1000000 where what = 'CONSIGNED_SOLD' | what left of suppliers' goods
          update place_stock set quantity = -1 where place_id = (select p.id from place p join party o on o.id = p.owner_id where o.kind = 'SUPPLIER') | more left than came
          update awaited set value = value + 1 where what = 'CONSIGNED_SOLD' | goods became ours for what is owed
          update paper set state = 'VOID' where kind = 'ASSEMBLY' | says what was made of what
          """)
  void a_falsified_row_is_found_by_its_rule(String falsify, String rule) {
    book.get(TransactionTemplate.class)
        .executeWithoutResult(
            status -> {
              assertThat(book.sql().sql(falsify).update()).isPositive();
              assertThat(book.get(CheckStore.class).findings())
                  .anyMatch(finding -> !finding.holds() && finding.what().contains(rule));
              status.setRollbackOnly();
            });
  }
}
