package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.count.CountClosing;
import zinctally.store.count.CountClosing.Uncounted;
import zinctally.store.count.CountLine;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountListings;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Counting;
import zinctally.store.count.Scope;
import zinctally.store.count.StockClasses;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Counting what is there, while others buy and sell. */
class StockCountTest {
  private static final CountSheet.Rules PLAIN = new CountSheet.Rules(false, false, null, null);
  private FreshBook book;

  @BeforeEach
  void a_store_with_wax_and_jars() {
    book = new FreshBook();
    book.item("WAX", "FIFO");
    book.item("JAR", "FIFO");
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long sheet(Scope scope, String value, CountSheet.Rules rules) {
    return book.get(CountSheets.class)
        .begin(
            new CountSheets.Wanted("Store", LocalDate.of(2026, 2, 1), scope, value, rules),
            "tester");
  }

  private long item(String code) {
    return book.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private CountLine count(long sheet, String code, String quantity, String login) {
    return book.get(Counting.class)
        .enter(sheet, new Counting.Counted(item(code), 0, Quantity.of(quantity), "", null), login);
  }

  private long close(long sheet, @Nullable Uncounted uncounted) {
    return book.get(CountClosing.class)
        .close(sheet, Optional.ofNullable(uncounted), "tester")
        .orElseThrow();
  }

  private long post(long draft) {
    return book.get(Posting.class).post(draft, "tester");
  }

  private CountSheet.State state(long sheet) {
    return book.get(CountSheets.class).find(sheet).orElseThrow().state();
  }

  /**
   * By hand: 8 are counted on the shelf, then six are sold out of the box behind it, then 4 are
   * counted in that box: 12, and the book held 14 then. The 2 that are missing cost what comes next
   * after the six that were sold: 2.00 each. A bill that comes late, of goods that were there
   * before, makes 7 at 1.00 the first: the six cost 6.00, the two 1.00 and 2.00.
   */
  @Test
  void what_is_sold_while_counting_goes_on_is_not_missing_and_a_late_bill_changes_what_was() {
    book.bill("2026-01-10", "WAX", "10", "2.00");
    book.bill("2026-01-20", "WAX", "10", "3.00");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    count(sheet, "WAX", "8", "ada");
    for (int i = 0; i < 6; i++) book.invoice("2026-02-01", "WAX", "1", "9.00");
    assertThat(book.get(CountLines.class).of(sheet, item("WAX"), 0).orElseThrow().since().micros())
        .isEqualTo(-6 * Quantity.ONE);
    CountLine line = count(sheet, "WAX", "4", "ben");
    assertThat(List.of(line.expected(), line.apart()))
        .containsExactly(Quantity.of("14"), Quantity.of("-2"));
    long paper = post(close(sheet, null));
    assertThat(book.booked("COUNT_DIFFERENCES", "WAX", "2026-02-01")).isEqualTo(400);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "WAX", "2026-02-01")).isEqualTo(1200);
    book.bill("2026-01-05", "WAX", "7", "1.00");
    assertThat(book.booked("COUNT_DIFFERENCES", "WAX", "2026-02-28")).isEqualTo(300);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "WAX", "2026-02-28")).isEqualTo(600);
    assertThat(state(sheet)).isEqualTo(CountSheet.State.POSTED);
    book.voidOn("2026-02-01", paper);
    assertThat(state(sheet)).isEqualTo(CountSheet.State.CLOSED);
    assertThat(book.booked("COUNT_DIFFERENCES", "WAX", "2026-02-28")).isZero();
  }

  @Test
  void what_was_not_counted_is_left_or_is_nothing_but_never_silently() {
    book.bill("2026-01-10", "WAX", "10", "2.00", "JAR", "5", "1.00");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    assertThatThrownBy(() -> close(sheet, Uncounted.NONE))
        .hasMessageContaining("Nothing is counted");
    count(sheet, "WAX", "9", "ada");
    assertThatThrownBy(() -> close(sheet, null)).hasMessageContaining("Not everything is counted");
    long draft = close(sheet, Uncounted.NONE);
    assertThat(
            book.get(DraftStore.class).find(draft).orElseThrow().draft().rows().stream()
                .map(r -> r.get("item") + " " + r.get("expected") + " " + r.get("counted")))
        .containsExactlyInAnyOrder("WAX 10 9", "JAR 5 0");
    assertThatThrownBy(() -> count(sheet, "WAX", "1", "ada")).hasMessageContaining("not open");
    assertThatThrownBy(() -> book.get(CountSheets.class).reopen(sheet, "tester"))
        .hasMessageContaining("throw it away");
    post(draft);
    assertThat(book.worth("JAR")).isZero();
  }

  @Test
  void a_sheet_that_agrees_is_done_without_a_paper_and_its_goods_have_not_moved_since() {
    book.bill("2026-01-10", "WAX", "10", "2.00");
    book.bill("2026-01-10", "JAR", "5", "1.00");
    long sheet = sheet(Scope.ITEMS, "WAX", PLAIN);
    count(sheet, "WAX", "10", "ada");
    assertThat(book.get(CountClosing.class).close(sheet, Optional.empty(), "tester")).isEmpty();
    assertThat(state(sheet)).isEqualTo(CountSheet.State.POSTED);
    assertThat(codes(sheet(Scope.MOVED, "", PLAIN))).containsExactly("JAR");
    book.invoice("2026-02-02", "WAX", "1", "9.00");
    assertThat(codes(sheet(Scope.MOVED, "", PLAIN))).containsExactly("JAR", "WAX");
  }

  private List<String> codes(long sheet) {
    return book.get(CountLines.class).page(sheet, CountLines.Which.ALL, "", 0, 100).stream()
        .map(CountLine::code)
        .toList();
  }

  @Test
  void a_difference_beyond_the_tolerance_is_counted_again_by_somebody_else() {
    book.bill("2026-01-10", "WAX", "10", "2.00", "JAR", "5", "1.00");
    long sheet = sheet(Scope.ALL, "", new CountSheet.Rules(true, true, null, 300L));
    count(sheet, "JAR", "2", "ada"); // 3.00: not more than that
    CountLine wax = count(sheet, "WAX", "8", "ada"); // 4.00
    assertThat(wax.wanted()).isTrue();
    assertThatThrownBy(() -> close(sheet, null)).hasMessageContaining("wanted of 1 line;");
    book.get(Counting.class).again(sheet, wax.id());
    assertThatThrownBy(() -> count(sheet, "WAX", "9", "ada")).hasMessageContaining("Somebody else");
    assertThat(count(sheet, "WAX", "7", "ben").wanted()).isFalse();
    post(close(sheet, null));
    assertThat(book.booked("COUNT_DIFFERENCES", "WAX", "2026-02-01")).isEqualTo(600);
  }

  @Test
  void a_wrong_entry_is_taken_back_and_stays_to_be_seen() {
    book.bill("2026-01-10", "WAX", "10", "2.00");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    count(sheet, "WAX", "3", "ada");
    CountLine line = count(sheet, "WAX", "70", "ada");
    CountLines lines = book.get(CountLines.class);
    Counting counting = book.get(Counting.class);
    long wrong = lines.entries(line.id()).get(0).id();
    assertThat(counting.takeBack(sheet, line.id(), wrong, "ben").counted())
        .isEqualTo(Quantity.of("3"));
    assertThatThrownBy(() -> counting.takeBack(sheet, line.id(), wrong, "ben"))
        .hasMessageContaining("no more already");
    counting.takeBack(sheet, line.id(), lines.entries(line.id()).get(1).id(), "ben");
    assertThat(lines.find(sheet, line.id()).orElseThrow().counted()).isNull();
    assertThat(lines.entries(line.id())).extracting("takenBackBy").containsOnly("ben");
  }

  @Test
  void a_serial_number_is_ticked_off_once_and_at_one_place() {
    book.sql()
        .sql(
            """
            insert into item (id, code, name, kind, group_id, method, base_unit, tracking)
            select next value for item_id, 'EX', 'Item EX', 'STOCKED', min(id), 'FIFO', 'H87', 'SERIAL'
            from item_group
            """)
        .update();
    book.sql().sql("insert into place (name) values ('Van')").update();
    book.paper(
        PaperKind.BILL,
        "2026-01-10",
        Map.of(),
        "item quantity price numbers",
        "EX",
        "2",
        "50.00",
        "A-1, A-2");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    long one = book.sql().sql("select id from lot where code = 'A-1'").query(Long.class).single();
    Counting counting = book.get(Counting.class);
    Counting.Counted tick = new Counting.Counted(item("EX"), one, Quantity.of("1"), "", null);
    counting.enter(sheet, tick, "ada");
    assertThatThrownBy(() -> counting.enter(sheet, tick, "ben"))
        .hasMessageContaining("counted already");
    long van =
        book.get(CountSheets.class)
            .begin(
                new CountSheets.Wanted("Van", LocalDate.of(2026, 2, 1), Scope.ALL, "", PLAIN),
                "tester");
    assertThatThrownBy(() -> counting.enter(van, tick, "ben"))
        .hasMessageContaining("A-1 of Item EX was counted at Store");
    post(close(sheet, Uncounted.NONE));
    assertThat(book.worth("EX")).isEqualTo(5000);
    assertThat(book.sql().sql("select code from lot where on_hand > 0").query(String.class).list())
        .containsExactly("A-1");
  }

  /** Counted at nine on paper, one is sold at ten, typed at noon. */
  @Test
  void what_is_typed_later_is_held_against_what_was_there_when_it_was_counted() {
    book.bill("2026-01-10", "WAX", "10", "2.00");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    var counted = book.sql().sql("select now(3)").query(java.time.LocalDateTime.class).single();
    book.sql().sql("select sleep(0.01)").query(Integer.class).single();
    book.invoice("2026-02-01", "WAX", "1", "9.00");
    CountLine line =
        book.get(Counting.class)
            .enter(
                sheet, new Counting.Counted(item("WAX"), 0, Quantity.of("10"), "", counted), "ada");
    assertThat(List.of(line.expected(), line.apart(), line.since()))
        .containsExactly(Quantity.of("10"), Quantity.ZERO, Quantity.of("-1"));
  }

  /** By hand: of 100.00 that left, 85.00 were wax and 12.00 jars; 3.00 lids. */
  @Test
  void goods_are_due_as_often_as_their_class_asks() {
    book.item("LID", "FIFO");
    String day = "2026-06-20"; // ten days before the book's today
    book.bill(day, "WAX", "90", "1.00", "JAR", "20", "1.00", "LID", "20", "1.00");
    book.invoice(day, "WAX", "85", "2", "JAR", "12", "2", "LID", "3", "2");
    StockClasses classes = book.get(StockClasses.class);
    classes.renew();
    assertThat(
            book.sql()
                .sql(
                    "select concat(i.code, ' ', c.class) from item_class c"
                        + " join item i on i.id = c.item_id order by c.class")
                .query(String.class)
                .list())
        .containsExactly("WAX A", "JAR B", "LID C");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    for (String[] one : new String[][] {{"WAX", "5"}, {"JAR", "8"}, {"LID", "17"}})
      count(sheet, one[0], one[1], "ada");
    book.get(CountClosing.class).close(sheet, Optional.empty(), "tester");
    assertThat(due()).isEmpty();
    book.sql().sql("update count_line set counted_at = now() - interval 31 day").update();
    assertThat(due()).containsExactly("WAX");
    book.sql().sql("update count_line set counted_at = now() - interval 91 day").update();
    assertThat(due()).containsExactly("WAX", "JAR");
    long drawn = classes.begin(Ask.ALL, PLAIN, "tester").get(0);
    assertThat(codes(drawn)).containsExactly("JAR", "WAX");
    assertThat(due()).isEmpty();
    assertThat(codes(sheet(Scope.CLASS, "C", PLAIN))).containsExactly("LID");
  }

  private List<String> due() {
    List<String> due = new ArrayList<>();
    book.get(ListingStore.class)
        .all(CountListings.due(), Ask.ALL, row -> due.add(String.valueOf(row.get("code"))));
    return due;
  }

  @Test
  void a_sheet_of_what_is_not_there_is_not_drawn() {
    book.bill("2026-01-10", "WAX", "10", "2.00");
    assertThatThrownBy(() -> sheet(Scope.ITEMS, "WAX\nHONY", PLAIN))
        .hasMessageContaining("has the code \"HONY\"");
    assertThatThrownBy(() -> sheet(Scope.GROUP, "Jars", PLAIN))
        .hasMessageContaining("Nothing that Store has is of that.");
    assertThat(book.sql().sql("select count(*) from count_sheet").query(Long.class).single())
        .isZero();
    assertThat(codes(sheet(Scope.ITEMS, "jar, wax\n", PLAIN))).containsExactly("JAR", "WAX");
  }

  @Test
  void a_paper_names_only_a_closed_sheet_of_its_place() {
    book.bill("2026-01-10", "WAX", "10", "2.00");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    assertThatThrownBy(
            () ->
                book.paper(
                    PaperKind.STOCK_COUNT,
                    "2026-02-01",
                    Map.of("sheet", String.valueOf(sheet)),
                    "item expected counted",
                    "WAX",
                    "10",
                    "9"))
        .hasMessageContaining("not a closed count of Store");
    assertThat(book.worth("WAX")).isEqualTo(2000);
  }

  @Test
  void several_count_at_once_and_no_piece_is_lost() throws Exception {
    book.bill("2026-01-10", "WAX", "100", "2.00");
    long sheet = sheet(Scope.ALL, "", PLAIN);
    ExecutorService people = Executors.newFixedThreadPool(4);
    List<Callable<CountLine>> scans = new ArrayList<>();
    IntStream.range(0, 40)
        .forEach(i -> scans.add(() -> count(sheet, i % 2 == 0 ? "WAX" : "JAR", "1", "p" + i % 4)));
    for (Future<CountLine> scan : people.invokeAll(scans)) scan.get();
    people.shutdown();
    for (String code : List.of("WAX", "JAR"))
      assertThat(book.get(CountLines.class).of(sheet, item(code), 0).orElseThrow().counted())
          .isEqualTo(Quantity.of("20"));
  }
}
