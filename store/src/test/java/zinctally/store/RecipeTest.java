package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Quantity;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.make.Needs;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.goods.Arrivals;
import zinctally.store.goods.LotTrace;
import zinctally.store.goods.WhyStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.make.KnownRecipe;
import zinctally.store.make.RecipeListings;
import zinctally.store.make.RecipeStore;

/** What goods are made of, by day, and what is missing for it. */
class RecipeTest {
  private static final LocalDate MARCH = LocalDate.of(2026, 3, 1);
  private FreshBook book;

  @BeforeEach
  void wax_candles_boxes() {
    book = new FreshBook();
    for (String code : List.of("WAX", "CANDLE", "BOX")) book.item(code, "FIFO");
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long recipe(String date, String item, String batch, String... itemQuantityBatch) {
    return book.paper(
        PaperKind.RECIPE,
        date,
        Map.of("item", item, "quantity", batch),
        "item quantity batch",
        itemQuantityBatch);
  }

  private long item(String code) {
    return book.sql()
        .sql("select id from item where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }

  private KnownRecipe on(String code, String day) {
    BookCatalogue open = book.get(Catalogues.class).open();
    return book.get(RecipeStore.class).on(item(code), LocalDate.parse(day), open).orElseThrow();
  }

  @Test
  void a_later_recipe_replaces_an_earlier_one_from_its_day_and_not_when_it_is_void() {
    recipe("2026-02-01", "CANDLE", "10", "WAX", "2", "", "6100 Pouring", "", "6.00");
    long later = recipe("2026-04-01", "CANDLE", "10", "WAX", "3", "");
    assertThat(on("CANDLE", "2026-03-31").batch().parts().get(0).quantity())
        .isEqualTo(Quantity.of("2"));
    assertThat(on("CANDLE", "2026-04-01").batch().parts().get(0).quantity())
        .isEqualTo(Quantity.of("3"));
    book.voidOn("2026-04-01", later);
    assertThat(on("CANDLE", "2026-04-01").batch().work()).hasSize(1);
  }

  @Test
  void a_circle_is_refused_by_naming_it_even_when_both_are_posted_at_once() throws Exception {
    recipe("2026-02-01", "BOX", "1", "CANDLE", "6", "");
    recipe("2026-02-01", "CANDLE", "1", "WAX", "1", "");
    assertThatThrownBy(() -> recipe("2026-02-02", "WAX", "1", "BOX", "1", ""))
        .isInstanceOfSatisfying(
            Refused.class,
            r ->
                assertThat(r.faults().get(0).says())
                    .isEqualTo(
                        "This goes in a circle: Item BOX is made of Item CANDLE, that of Item WAX."));
    for (String code : List.of("A", "B", "C", "D")) book.item(code, "FIFO");
    recipe("2026-02-01", "B", "1", "C", "1", "");
    recipe("2026-02-01", "D", "1", "A", "1", "");
    ExecutorService two = Executors.newFixedThreadPool(2);
    List<Callable<Long>> both =
        List.of(
            () -> recipe("2026-02-02", "A", "1", "B", "1", ""),
            () -> recipe("2026-02-02", "C", "1", "D", "1", ""));
    int refused = 0;
    for (Future<Long> one : two.invokeAll(both))
      try {
        one.get();
      } catch (ExecutionException circle) {
        assertThat(circle).hasCauseInstanceOf(Refused.class);
        refused++;
      }
    two.shutdown();
    assertThat(refused).isEqualTo(1);
  }

  @Test
  void what_is_missing_counts_what_is_free_and_what_is_promised_is_not() {
    recipe("2026-02-01", "CANDLE", "10", "WAX", "2", "");
    recipe("2026-02-01", "BOX", "1", "CANDLE", "6", "");
    book.bill("2026-02-01", "WAX", "10", "2.00", "CANDLE", "20", "1.00");
    book.paper(
        PaperKind.SALES_ORDER, "2026-02-02", Map.of(), "item quantity price", "CANDLE", "8", "3");
    BookCatalogue open = book.get(Catalogues.class).open();
    Needs needs =
        book.get(RecipeStore.class).needs(on("BOX", "2026-03-01"), Quantity.of("20"), MARCH, open);
    assertThat(needs.toMake().values()).as("120 less 12 free").containsExactly(Quantity.of("108"));
    assertThat(needs.toBuy().values()).as("22 of wax less 10").containsExactly(Quantity.of("12"));
    assertThat(
            book.get(ListingStore.class).page(RecipeListings.recipes(), Ask.ALL).rows().stream()
                .map(r -> r.get("code") + " " + r.get("possible"))
                .toList())
        .containsExactly("BOX 2000000", "CANDLE 50000000");
  }

  @Test
  void a_lot_is_traced_through_what_was_made_both_ways_and_the_cost_told() {
    book.sql().sql("update item set tracking = 'LOT'").update();
    long bill =
        book.paper(
            PaperKind.BILL,
            "2026-02-01",
            Map.of(),
            "item quantity price numbers",
            "WAX",
            "10",
            "2.00",
            "W-1: 10");
    makes("2026-02-05", "CANDLE", "8", "C-1", "WAX", "4", "W-1: 4");
    makes("2026-02-06", "BOX", "1", "B-1", "CANDLE", "6", "C-1: 6");
    long sale =
        book.paper(
            PaperKind.INVOICE,
            "2026-02-10",
            Map.of(),
            "item quantity price numbers",
            "BOX",
            "1",
            "9.00",
            "B-1");
    LotTrace trace = book.get(LotTrace.class);
    assertThat(trace.wentInto(lot("W-1")))
        .extracting(l -> l.steps() + " " + l.code() + " " + l.parties())
        .containsExactly("1 C-1 ", "2 B-1 Fenwick Garden");
    assertThat(trace.wentIn(lot("B-1")))
        .extracting(l -> l.steps() + " " + l.code() + " " + l.parties())
        .containsExactly("1 C-1 ", "2 W-1 Orrin Joinery");
    assertThat(book.number(bill)).isNotEmpty();
    Arrivals.Part part = book.get(WhyStore.class).ofPaper(sale).get(0).parts().get(0);
    assertThat(part.made()).isNotNull();
    assertThat(part.made().components())
        .extracting(c -> c.item() + " " + c.cost())
        .containsExactly("Item CANDLE 600");
  }

  private void makes(String date, String item, String many, String lot, String... cells) {
    book.paper(
        PaperKind.ASSEMBLY,
        date,
        Map.of("item", item, "quantity", many, "numbers", lot),
        "item quantity numbers",
        cells);
  }

  private long lot(String code) {
    return book.sql()
        .sql("select id from lot where code = ?")
        .param(code)
        .query(Long.class)
        .single();
  }
}
