package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.sell.PriceStore;

/**
 * Worked examples of a textbook, through the papers. Horngren, Datar and Rajan, Cost Accounting: A
 * Managerial Emphasis, the chapters on job costing and on joint products (from memory).
 */
class TextbookMakingTest {
  private FreshBook book;

  @BeforeEach
  void open() {
    book = new FreshBook();
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private void item(String code, String price) {
    book.item(code, "FIFO");
    PriceStore prices = book.get(PriceStore.class);
    long item =
        book.sql().sql("select id from item where code = ?").param(code).query(Long.class).single();
    prices.set(item, prices.lists().get(0).id(), null, 0, new BigDecimal(price), "tester");
  }

  /**
   * Job WPP 298 of the Robinson Company: direct materials 4,606, direct labour 1,579, overhead 88
   * hours at 40, 3,520; the job costs 9,705.
   */
  @Test
  void a_job_costs_its_materials_its_labour_and_the_overhead_allocated_to_it() {
    item("METAL", "1");
    item("MACHINE", "1");
    book.bill("2026-02-01", "METAL", "1", "4606.00");
    book.paper(
        PaperKind.ASSEMBLY,
        "2026-02-28",
        Map.of("item", "MACHINE", "quantity", "1"),
        "item quantity amount",
        "METAL",
        "1",
        "",
        "6100",
        "",
        "1579.00",
        "6300",
        "",
        "3520.00");
    assertThat(book.worth("MACHINE")).isEqualTo(970_500);
    book.invoice("2026-03-01", "MACHINE", "1", "15000.00");
    assertThat(book.booked("COST_OF_GOODS_SOLD", "MACHINE", "2026-03-01")).isEqualTo(970_500);
  }

  /**
   * Farmers' Dairy: raw milk and its processing, 400,000, give 25,000 gallons of cream that sell at
   * 8 and 75,000 of liquid skim at 4. By sales value at splitoff (200,000 and 300,000) they bear
   * 160,000 and 240,000, by physical measure 100,000 and 300,000; of 20,000 and 30,000 gallons sold
   * the cost is 128,000 and 96,000 by sales value.
   */
  @ParameterizedTest
  @CsvSource({"price, 160000, 240000, 128000, 96000", "quantity, 100000, 300000, 80000, 120000"})
  void joint_products_share_what_was_spent_before_they_could_be_told_apart(
      String sharing, long cream, long skim, long creamSold, long skimSold) {
    item("MILK", "1");
    item("CREAM", "8");
    item("SKIM", "4");
    book.bill("2026-05-01", "MILK", "1", "400000.00");
    book.paper(
        PaperKind.DISASSEMBLY,
        "2026-05-31",
        Map.of("item", "MILK", "quantity", "1", "sharing", sharing),
        "item quantity",
        "CREAM",
        "25000",
        "SKIM",
        "75000");
    assertThat(List.of(book.worth("CREAM"), book.worth("SKIM")))
        .containsExactly(cream * 100, skim * 100);
    book.invoice("2026-05-31", "CREAM", "20000", "8.00", "SKIM", "30000", "4.00");
    assertThat(book.booked("COST_OF_GOODS_SOLD", "CREAM", "2026-05-31")).isEqualTo(creamSold * 100);
    assertThat(book.booked("COST_OF_GOODS_SOLD", "SKIM", "2026-05-31")).isEqualTo(skimSold * 100);
  }
}
