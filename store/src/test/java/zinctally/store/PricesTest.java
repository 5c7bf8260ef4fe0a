package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.price.PriceChange;
import zinctally.store.book.ListPrices;
import zinctally.store.sell.PriceChanges;
import zinctally.store.sell.PriceStore;

/** Which price counts, and many changed at once. */
class PricesTest extends OneBookTest {
  private static final LocalDate JULY = LocalDate.of(2026, 7, 1);
  private static PriceStore prices;
  private static long retail;
  private static long trade;

  @BeforeAll
  static void goods() {
    prices = book.get(PriceStore.class);
    prices.makeList("Trade", "owner");
    retail = prices.lists().get(0).id();
    trade =
        prices.lists().stream()
            .filter(l -> l.name().equals("Trade"))
            .findFirst()
            .orElseThrow()
            .id();
    book.item("JAR", "FIFO");
    set(retail, null, 0, "1.00");
    set(retail, JULY, 0, "1.10");
    set(retail, null, 100, "0.90");
    set(trade, null, 24, "0.80");
    set(trade, JULY, 24, "0.85");
  }

  private static long item(String code) {
    return book.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private static void set(long list, LocalDate from, long atLeast, String each) {
    prices.set(item("JAR"), list, from, atLeast * 1_000_000, new BigDecimal(each), "tester");
  }

  private static Optional<BigDecimal> price(String code, long list, LocalDate on, long quantity) {
    return step(code, list, on, quantity).map(ListPrices.Step::price);
  }

  private static Optional<ListPrices.Step> step(
      String code, long list, LocalDate on, long quantity) {
    long item = item(code);
    return book.get(ListPrices.class)
        .listed(List.of(item), list, on)
        .price(item, quantity * 1_000_000);
  }

  @Test
  void a_price_that_the_first_list_stands_in_with_holds_tax_as_the_first_list_does() {
    prices.withTax(retail, true, "owner");
    try {
      assertThat(step("JAR", trade, JULY, 1)).get().returns(true, ListPrices.Step::withTax);
      assertThat(step("JAR", trade, JULY, 24)).get().returns(false, ListPrices.Step::withTax);
    } finally {
      prices.withTax(retail, false, "owner");
    }
  }

  @ParameterizedTest
  @CsvSource({
    "first, 2026-06-30, 1, 1.00",
    "first, 2026-07-01, 1, 1.10",
    "first, 2026-06-30, 99, 1.00",
    "first, 2026-06-30, 100, 0.90",
    "first, 2026-07-02, 100, 0.90",
    "trade, 2026-06-30, 24, 0.80",
    "trade, 2026-07-01, 240, 0.85",
    "trade, 2026-06-30, 23, 1.00",
  })
  void the_latest_price_of_the_highest_step_reached_counts_and_the_first_list_stands_in(
      String list, LocalDate on, long quantity, BigDecimal price) {
    assertThat(price("JAR", list.equals("trade") ? trade : 0, on, quantity))
        .get()
        .usingComparator(BigDecimal::compareTo)
        .isEqualTo(price);
  }

  /** 4.00 and 6.00 at cost with a markup of 50 %, up to 0.50 and 0.01 under it: 5.99 and 8.99. */
  @Test
  void prices_from_cost_are_seen_first_and_change_only_as_they_were_seen() {
    for (String code : new String[] {"COST-A", "COST-B"}) book.item(code, "AVERAGE");
    book.bill("2026-02-01", "COST-A", "2", "4.00", "COST-B", "2", "6.00");
    PriceChanges changes = book.get(PriceChanges.class);
    PriceChanges.Wanted wanted =
        new PriceChanges.Wanted(
            retail,
            0,
            LocalDate.of(2026, 6, 30),
            new PriceChange(
                PriceChange.Basis.COST,
                new BigDecimal("50"),
                new BigDecimal("0.50"),
                new BigDecimal("0.01")));
    PriceChanges.Preview seen = changes.preview(wanted);
    assertThat(seen.changed())
        .extracting(PriceChanges.Changed::code, c -> c.after().toPlainString())
        .contains(
            org.assertj.core.groups.Tuple.tuple("COST-A", "5.99"),
            org.assertj.core.groups.Tuple.tuple("COST-B", "8.99"));
    book.bill("2026-02-02", "COST-B", "2", "8.00");
    assertThat(changes.change(wanted, seen.sum(), "tester")).isZero();
    assertThat(prices.of(item("COST-A"))).isEmpty();
    // 6.00 and 8.00 are 7.00 each on average: 10.50 with the markup
    assertThat(changes.change(wanted, changes.preview(wanted).sum(), "tester")).isEqualTo(2);
    assertThat(price("COST-B", 0, LocalDate.of(2026, 6, 30), 1))
        .get()
        .usingComparator(BigDecimal::compareTo)
        .isEqualTo(new BigDecimal("10.49"));
    assertThat(price("COST-B", 0, LocalDate.of(2026, 6, 29), 1)).isEmpty();
    assertThat(changes.preview(wanted).changed()).isEmpty();
  }

  @Test
  void a_changed_price_leaves_what_it_was_in_the_audit_trail() {
    book.item("LID", "FIFO");
    long lid = item("LID");
    for (String each : new String[] {"9.50", "9.90"})
      prices.set(lid, retail, null, 0, new BigDecimal(each), "owner");
    prices.set(lid, retail, null, 0, null, "owner");
    List<String> left =
        book.sql()
            .sql(
                "select concat(ifnull(before_text, 'none'), ' > ', after_text) from audit"
                    + " where subject = 'item' and subject_id = ? and what = 'price' order by id")
            .param(lid)
            .query(String.class)
            .list();
    assertThat(left).hasSize(3);
    assertThat(left.get(0)).startsWith("none > ").contains(": 9.50");
    assertThat(left.get(1)).matches(".*: 9\\.500* > .*: 9\\.90");
    assertThat(left.get(2)).matches(".*: 9\\.900* > taken away");
  }
}
