package zinctally.core.papers.trade;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.flow.Awaited;

/** A hive is 20.00 in the list and costs 15.00. */
class BoundsTest {
  private static final Allowed TENTH = new Allowed(false, BigDecimal.TEN, false, false);
  private static final Allowed CHEAP = new Allowed(true, BigDecimal.ZERO, false, true);
  private final SmallBook book = new SmallBook();

  private List<Fault> beyond(Allowed allowed, Map<String, String> row, String... fields) {
    book.listed.put(
        SmallBook.HIVE.id(), new Allowed.ListPrice(new BigDecimal("20"), BigDecimal.ZERO));
    book.costs.put(SmallBook.HIVE.id(), new Catalogue.LatestCost(1500, Quantity.ONE));
    return paper(PaperKind.INVOICE, row, fields).beyond(allowed, book);
  }

  private Paper paper(PaperKind kind, Map<String, String> row, String... fields) {
    SmallBook.Written written = SmallBook.Written.of(kind);
    for (int i = 0; i < fields.length; i += 2) written = written.with(fields[i], fields[i + 1]);
    String[] cells =
        row.entrySet().stream()
            .flatMap(c -> Stream.of(c.getKey(), c.getValue()))
            .toArray(String[]::new);
    return book.read(written.line(cells)).paper().orElseThrow();
  }

  private static Map<String, String> hive(String... cells) {
    Map<String, String> row = new HashMap<>(Map.of("item", "HIVE", "quantity", "2"));
    for (int i = 0; i < cells.length; i += 2) row.put(cells[i], cells[i + 1]);
    return row;
  }

  @Test
  void as_much_as_may_come_off_the_list_price_comes_off_and_no_more() {
    assertThat(beyond(TENTH, hive("price", "18"))).isEmpty();
    assertThat(beyond(TENTH, hive("price", "20", "discount", "10"))).isEmpty();
    assertThat(beyond(TENTH, hive("price", "17.98")))
        .containsExactly(
            Fault.at(0, "price", "36.00 at least: 10 % off the list is yours to give."));
    assertThat(beyond(TENTH, hive("price", "20", "discount", "10.5"))).hasSize(1);
    assertThat(beyond(TENTH, hive("price", "20"), "off", "12 %")).hasSize(1);
    assertThat(beyond(TENTH, hive("price", "20"), "off", "10 %")).isEmpty();
  }

  @Test
  void what_a_customer_is_always_given_may_be_given() {
    beyond(TENTH, hive("price", "20"));
    book.listed.put(
        SmallBook.HIVE.id(), new Allowed.ListPrice(new BigDecimal("20"), new BigDecimal("15")));
    Paper paper = paper(PaperKind.INVOICE, hive("price", "20", "discount", "15"));
    assertThat(paper.beyond(TENTH, book)).isEmpty();
  }

  @Test
  void without_a_list_price_what_is_typed_is_the_price_and_only_discounts_are_held() {
    Map<String, String> frame = hive("item", "FRAME", "price", "1");
    assertThat(paper(PaperKind.INVOICE, frame).beyond(TENTH, book)).isEmpty();
    frame.put("discount", "11");
    assertThat(paper(PaperKind.INVOICE, frame).beyond(TENTH, book))
        .containsExactly(Fault.at(0, "discount", "You may give 10 % off at most."));
  }

  @Test
  void under_cost_is_refused_without_saying_the_cost() {
    assertThat(beyond(CHEAP, hive("price", "15"))).isEmpty();
    assertThat(beyond(CHEAP, hive("price", "14.99")))
        .singleElement()
        .satisfies(f -> assertThat(f.says()).contains("under its cost").doesNotContain("15"));
    assertThat(beyond(Allowed.ALL, hive("price", "1"))).isEmpty();
  }

  @Test
  void a_limit_is_kept_by_who_may_not_go_over_it() {
    book.limits.put(SmallBook.FENWICK.id(), 4000L);
    assertThat(beyond(TENTH, hive("price", "20"))).isEmpty();
    book.limits.put(SmallBook.FENWICK.id(), 3999L);
    Bounds bounds = new Bounds(TENTH, book).owes(SmallBook.FENWICK, 4000);
    assertThat(bounds.faults()).singleElement().extracting(Fault::cell).isEqualTo("customer");
    assertThat(new Bounds(CHEAP, book).owes(SmallBook.FENWICK, 4000).faults()).isEmpty();
  }

  @Test
  void what_was_agreed_with_an_order_may_be_invoiced_and_nothing_less() {
    book.listed.put(
        SmallBook.HIVE.id(), new Allowed.ListPrice(new BigDecimal("20"), BigDecimal.ZERO));
    Awaited.Order order = new Awaited.Order(7, "SO-2026-0001", 0, 0, 0, 3000, 2_000_000, true);
    assertThat(held(order, 3000)).isEmpty();
    assertThat(held(order, 2998))
        .singleElement()
        .satisfies(
            f -> assertThat(f.says()).isEqualTo("30.00 at least, as agreed with SO-2026-0001."));
  }

  private List<Fault> held(Awaited.Order order, long net) {
    return new Bounds(TENTH, book)
        .line(
            new Bounds.Line(0, SmallBook.HIVE, Quantity.of("2"), BigDecimal.ZERO, net, null, order),
            SmallBook.FENWICK,
            LocalDate.of(2026, 11, 20))
        .faults();
  }

  @Test
  void papers_of_buying_are_held_by_nobody() {
    assertThat(paper(PaperKind.BILL, hive("price", "1")).beyond(TENTH, book)).isEmpty();
  }
}
