package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;

/** Lots and serial numbers, through everything that moves them. All figures by hand. */
class NumberedGoodsTest extends OneBookTest {
  private static void item(String code, String method, String tracking) {
    book.item(code, method);
    book.sql().sql("update item set tracking = ? where code = ?").params(tracking, code).update();
  }

  private static long post(
      PaperKind kind, String date, String item, String quantity, String numbers, String... more) {
    Map<String, String> row = new HashMap<>();
    row.put("item", item);
    row.put("quantity", quantity);
    row.put("numbers", numbers);
    for (int i = 0; i < more.length; i += 2) row.put(more[i], more[i + 1]);
    boolean buying = kind.area().equals("buy");
    return book.post(
        kind,
        Map.of(
            "date",
            date,
            buying ? "supplier" : "customer",
            buying ? "Brenn Metalwork" : "Fenwick Garden",
            "place",
            "Store"),
        List.of(row));
  }

  /**
   * Three at 100.00 in all: 33.34, 33.33, 33.33; one more at 50.00. IAS 2 paragraph 23: what can be
   * told apart costs what it cost itself (from memory).
   */
  @Test
  void each_serial_number_costs_what_it_cost_itself_and_comes_back_at_that() {
    item("EXT", "SPECIFIC", "SERIAL");
    long three =
        post(PaperKind.BILL, "2026-02-01", "EXT", "3", "3 from EX-099", "price", "33.333333");
    assertThat(book.worth("EXT")).isEqualTo(10000);
    post(PaperKind.RECEIPT, "2026-02-02", "EXT", "1", "Z-7", "price", "50");
    long sale = post(PaperKind.INVOICE, "2026-02-10", "EXT", "2", "Z-7, EX-100", "price", "90");
    assertThat(book.worth("EXT")).isEqualTo(10000 - 3333);
    assertThatThrownBy(
            () -> post(PaperKind.INVOICE, "2026-02-11", "EXT", "1", "Z-7", "price", "90"))
        .hasMessageContaining("Z-7 is not at Store: it went with " + book.number(sale));
    post(PaperKind.CUSTOMER_RETURN, "2026-02-12", "EXT", "1", "Z-7", "paper", book.number(sale));
    assertThat(book.worth("EXT")).isEqualTo(10000 - 3333 + 5000);
    post(PaperKind.INVOICE, "2026-02-13", "EXT", "1", "z-7", "price", "80");
    assertThat(book.worth("EXT")).isEqualTo(10000 - 3333);
    post(
        PaperKind.SUPPLIER_RETURN, "2026-02-14", "EXT", "1", "EX-099", "paper", book.number(three));
    assertThat(book.worth("EXT")).isEqualTo(3333);
    assertThatThrownBy(
            () ->
                post(
                    PaperKind.SUPPLIER_RETURN,
                    "2026-02-15",
                    "EXT",
                    "1",
                    "EX-100",
                    "paper",
                    book.number(three)))
        .hasMessageContaining("EX-100 is not at Store");
  }

  @Test
  void serial_numbers_that_are_short_double_or_here_already_are_refused_by_name() {
    item("SER", "SPECIFIC", "SERIAL");
    assertThatThrownBy(
            () -> post(PaperKind.BILL, "2026-02-01", "SER", "3", "A-1,A-2", "price", "5"))
        .hasMessageContaining("2 of 3 are given; the rest is missing");
    assertThatThrownBy(
            () -> post(PaperKind.BILL, "2026-02-01", "SER", "2", "A-1;a-1", "price", "5"))
        .hasMessageContaining("stands here twice");
    assertThatThrownBy(() -> post(PaperKind.BILL, "2026-02-01", "SER", "1.5", "A-1", "price", "5"))
        .hasMessageContaining("whole pieces");
    long bill = post(PaperKind.BILL, "2026-02-01", "SER", "2", "A-1\nA-2", "price", "5");
    assertThatThrownBy(() -> post(PaperKind.BILL, "2026-02-02", "SER", "1", "A-2", "price", "5"))
        .hasMessageContaining("A-2 is here already: it is at Store");
    assertThatThrownBy(() -> post(PaperKind.INVOICE, "2026-02-03", "SER", "1", "", "price", "9"))
        .hasMessageContaining("Here are A-1, A-2.");
    assertThatThrownBy(() -> post(PaperKind.INVOICE, "2026-02-03", "SER", "1", "B-1", "price", "9"))
        .hasMessageContaining("No serial number B-1 of Item SER has ever come in");
    long sale = post(PaperKind.INVOICE, "2026-02-03", "SER", "1", "A-1", "price", "9");
    assertThatThrownBy(() -> book.voidOn("2026-02-01", bill))
        .hasMessageContaining(book.number(sale));
    book.amend(
        bill,
        PaperKind.BILL,
        Map.of("date", "2026-02-01", "supplier", "Brenn Metalwork", "place", "Store"),
        List.of(Map.of("item", "SER", "quantity", "2", "price", "6", "numbers", "A-3, A-1")));
    assertThat(book.worth("SER")).isEqualTo(600);
  }

  @Test
  void lots_are_kept_apart_by_place_and_expiry_and_share_one_cost() {
    item("MITE", "AVERAGE", "LOT");
    post(PaperKind.BILL, "2026-02-01", "MITE", "40", "M-7 2027-05-31", "price", "2.00");
    post(
        PaperKind.BILL,
        "2026-02-02",
        "MITE",
        "100",
        "M-7: 40, M-8 2027-09-30: 60",
        "price",
        "2.00");
    assertThatThrownBy(
            () -> post(PaperKind.INVOICE, "2026-02-05", "MITE", "90", "M-7", "price", "4"))
        .hasMessageContaining("Store has 80 of lot M-7");
    assertThatThrownBy(
            () -> post(PaperKind.INVOICE, "2026-02-01", "MITE", "5", "M-8", "price", "4"))
        .hasMessageContaining("M-8 came on 2026-02-02; it cannot leave on 2026-02-01");
    post(PaperKind.INVOICE, "2026-02-05", "MITE", "90", "M-7: 80; M-8: 10", "price", "4");
    assertThat(book.worth("MITE")).isEqualTo(10000);
    assertThatThrownBy(
            () -> post(PaperKind.BILL, "2026-02-09", "MITE", "1", "M-8 2028-01-01", "price", "2"))
        .hasMessageContaining("expires on 2027-09-30");
    assertThatThrownBy(
            () ->
                post(PaperKind.ADJUSTMENT, "2026-02-09", "MITE", "-51", "M-8", "reason", "Expired"))
        .hasMessageContaining("Store has 50 of lot M-8");
    post(PaperKind.ADJUSTMENT, "2026-02-09", "MITE", "-50", "M-8", "reason", "Expired");
    assertThat(book.worth("MITE")).isZero();
  }

  @Test
  void opening_stock_names_its_serial_numbers_too() {
    item("OPEN", "SPECIFIC", "SERIAL");
    Map<String, String> fields = Map.of("columns", "code,quantity,value,numbers", "place", "Store");
    Map<String, String> row = Map.of("c0", "OPEN", "c1", "3", "c2", "100.00", "c3", "O-1, O-2");
    assertThatThrownBy(() -> book.post(PaperKind.OPENING_STOCK, fields, List.of(row)))
        .hasMessageContaining("2 of 3 are given");
    Map<String, String> whole = new HashMap<>(row);
    whole.put("c3", "3 from O-1");
    book.post(PaperKind.OPENING_STOCK, fields, List.of(whole));
    post(PaperKind.INVOICE, "2026-02-03", "OPEN", "1", "O-3", "price", "90");
    assertThat(book.worth("OPEN")).isEqualTo(10000 - 3333);
  }

  /** Parts of a line count in millions; 1,100 come back and go out again on one line. */
  @Test
  void eleven_hundred_pieces_come_back_on_one_line_and_are_thrown_away() {
    item("MANY", "SPECIFIC", "SERIAL");
    String columns = "item quantity price numbers";
    String run = "1100 from Q-0001";
    book.paper(PaperKind.RECEIPT, "2026-03-01", Map.of(), columns, "MANY", "1100", "1", run);
    String sale =
        book.number(
            book.paper(
                PaperKind.INVOICE, "2026-03-02", Map.of(), columns, "MANY", "1100", "2", run));
    long back =
        book.paper(
            PaperKind.CUSTOMER_RETURN,
            "2026-03-03",
            Map.of(),
            "paper item quantity goods numbers",
            sale,
            "MANY",
            "1100",
            "Breakage",
            run);
    assertThat(
            book.sql()
                .sql("select max(part) from cost_event where paper_id = ?")
                .param(back)
                .query(Integer.class)
                .single())
        .isEqualTo(2199);
    book.voidOn("2026-03-03", back);
  }
}
