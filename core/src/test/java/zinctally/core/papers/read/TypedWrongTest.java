package zinctally.core.papers.read;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.HIVE;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.goods.Item;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;

/** What is typed wrong is said at its cell, and what would be right with it. */
class TypedWrongTest {
  private final SmallBook book = new SmallBook();

  private static Written invoice() {
    return Written.of(PaperKind.INVOICE);
  }

  private static Written one(String... cells) {
    Map<String, String> row = new HashMap<>(Map.of("item", "HIVE", "quantity", "1", "price", "10"));
    for (int i = 0; i < cells.length; i += 2) row.put(cells[i], cells[i + 1]);
    return invoice()
        .line(
            row.entrySet().stream()
                .flatMap(cell -> java.util.stream.Stream.of(cell.getKey(), cell.getValue()))
                .toArray(String[]::new));
  }

  @Test
  void nothing_is_wrong_with_the_paper_that_is_changed_here() {
    assertThat(book.faults(one())).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "date, '', A date is wanted",
    "date, 2026-02-30, '\"2026-02-30\" is not a date'",
    "date, 2024-12-31, is before the cut-over date 2025-01-01",
    "date, 2027-11-26, more than a year ahead",
    "customer, '', Which customer? A name is enough.",
    "place, '', Which place?",
    "place, Attic, 'There is no place called \"Attic\"'",
    "due, 2026-11-19, which is before the paper's date 2026-11-20",
    "due, soon, is not a date",
  })
  void in_the_head(String field, String typed, String says) {
    assertThat(book.faults(one().with(field, typed)))
        .anySatisfy(f -> assertThat(f).startsWith(field + ": ").contains(says));
    assertThat(book.read(one().with(field, typed)).paper()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "item, '', 'Which item? Its code, barcode or name will do.'",
    "quantity, '', 'How many? Write a number, or with a unit: '",
    "quantity, many, '\"many\" is not a quantity of this item.'",
    "quantity, -1, must be above zero",
    "price, '', 'At what price? Write 0 for goods that cost nothing.'",
    "price, dear, '\"dear\" is not a number; write it like 1234.50.'",
    "price, -1, A price is not below zero",
    "price, 1.0000001, has more than 6 digits after the point",
    "price, 1000000000000, is larger than any amount this book can hold",
    "discount, 100.01, A discount is between 0 and 100 percent.",
    "discount, -1, A discount is between 0 and 100 percent.",
    "discount, some, is not a number",
    "at, 10.01, The new price is between 0 and 10.",
    "at, -1, The new price is between 0 and 10.",
    "tax, Q, 'There is no tax rate \"Q\"'",
    "place, Attic, 'There is no place called \"Attic\".'",
  })
  void in_a_row(String column, String typed, String says) {
    assertThat(book.faults(one(column, typed)))
        .anySatisfy(f -> assertThat(f).startsWith("rows.0." + column + ": ").contains(says));
    assertThat(book.read(one(column, typed)).paper()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "discount, 100, 0",
    "discount, 0, 1000",
    "at, 10, 1000",
    "at, 0, 0",
    "at, 2.5, 250",
    "price, 0, 0",
    "price, 999999999999, 99999999999900"
  })
  void what_is_just_right_is_taken(String column, String typed, long net) {
    assertThat(book.paper(one(column, typed)).head().net()).isEqualTo(net);
  }

  @Test
  void a_discount_and_a_new_price_exclude_each_other() {
    assertThat(book.faults(one("discount", "5", "at", "9")))
        .containsExactly("rows.0.at: Percent off, or the new price: leave one of the two empty.");
  }

  @Test
  void a_percent_fills_in_the_price_it_leaves_and_a_price_the_percent_it_is() {
    assertThat(book.read(one("discount", "12.5%")).rows().get(0).beside())
        .containsEntry("at", "8.75");
    assertThat(book.read(one("at", "7.50")).rows().get(0).beside()).containsEntry("discount", "25");
  }

  @Test
  void a_closed_month_takes_nothing_and_tomorrow_is_noted() {
    book.firstOpenDay = LocalDate.of(2026, 11, 1);
    assertThat(book.faults(one().with("date", "2026-10-31")))
        .anyMatch(f -> f.startsWith("date: 2026-10-31 is in a closed period; the first open day"));
    assertThat(book.faults(one().with("date", "2026-11-01"))).isEmpty();
    assertThat(book.notes(one().with("date", "2026-11-25"))).isEmpty();
    assertThat(book.notes(one().with("date", "2026-11-26")))
        .contains("2026-11-26 is in the future.");
    assertThat(book.faults(one().with("date", "2027-11-25"))).isEmpty();
  }

  @Test
  void a_new_name_is_made_one_that_is_off_is_not_taken_and_one_too_long_is_said() {
    assertThat(book.notes(one().with("customer", "Ada Quill")))
        .contains("Ada Quill is new and will be made a customer.");
    assertThat(book.paper(one().with("customer", "Ada Quill")).party())
        .contains(new Party(0, Party.Kind.CUSTOMER, "Ada Quill", 30, true));
    assertThat(book.faults(one().with("customer", "x".repeat(121))))
        .contains("customer: A name may be 120 letters long.");
    assertThat(book.faults(one().with("customer", "x".repeat(120)))).isEmpty();
    book.parties.remove(FENWICK);
    book.parties.add(new Party(2, FENWICK.kind(), FENWICK.name(), 30, false));
    assertThat(book.faults(one()).get(0)).contains("is switched off");
  }

  @Test
  void an_item_that_is_off_is_not_taken_and_one_that_is_unknown_is_asked_about() {
    assertThat(book.faults(one("item", "Feeder")).get(0))
        .isEqualTo(
            "rows.0.item: \"Feeder\" is no item yet. Shall it be made one, to be completed later?");
    assertThat(book.faults(one("item", "x".repeat(121))).get(0)).contains("No item has the code");
    book.items.remove(HIVE);
    book.items.add(
        new Item(
            HIVE.id(),
            HIVE.code(),
            HIVE.name(),
            HIVE.kind(),
            HIVE.units(),
            HIVE.method(),
            HIVE.stockAccount(),
            HIVE.salesAccount(),
            HIVE.costAccount(),
            "",
            "",
            false,
            HIVE.tracking(),
            null));
    assertThat(book.faults(one()).get(0)).contains("is switched off; switch it on in Goods");
  }

  @Test
  void long_text_is_said_with_its_length() {
    assertThat(book.faults(one().with("reference", "x".repeat(501))))
        .contains("reference: This is 501 letters long; 500 fit.");
    assertThat(book.faults(one().with("reference", "x".repeat(500)))).isEmpty();
  }

  @Test
  void amounts_too_large_to_add_up_are_said_and_make_no_paper() {
    Written large =
        one("price", "90000000000", "quantity", "1000000")
            .line("item", "HIVE", "quantity", "1000000", "price", "90000000000");
    assertThat(book.faults(large)).contains(": The amounts are too large to add up.");
    assertThat(book.faults(one("price", "900000000000", "quantity", "1000000000")))
        .anyMatch(f -> f.contains("larger than any amount this book can hold"));
  }

  @ParameterizedTest
  @EnumSource(
      names = {
        "PURCHASE_ORDER", "RECEIPT", "BILL", "SUPPLIER_RETURN", "SUPPLIER_CREDIT", "SALES_ORDER",
        "DELIVERY", "INVOICE", "CUSTOMER_RETURN", "COUNTER_SALE", "ADJUSTMENT", "WRITE_DOWN",
        "RECOSTING", "JOURNAL", "OPENING_BALANCES"
      })
  void a_paper_without_a_line_says_what_its_first_would_be(PaperKind kind) {
    assertThat(book.faults(Written.of(kind).with("money", "1200").with("why", "Found")))
        .anyMatch(f -> f.startsWith("rows.0."));
    assertThat(book.read(Written.of(kind)).paper()).isEmpty();
  }

  @Test
  void balances_of_accounts_that_papers_keep_are_not_opened_by_hand() {
    assertThat(
            book.faults(
                Written.of(PaperKind.OPENING_BALANCES).line("account", "1400", "debit", "10")))
        .anyMatch(f -> f.startsWith("rows.0.account: "));
    assertThat(
            book.faults(
                Written.of(PaperKind.OPENING_BALANCES).line("account", "1299", "debit", "10")))
        .contains("rows.0.account: 1299 Old bank is switched off.");
  }
}
