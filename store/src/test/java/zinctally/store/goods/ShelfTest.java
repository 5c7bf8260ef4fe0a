package zinctally.store.goods;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.store.FreshBook;
import zinctally.store.goods.ShelfStore.Kind;
import zinctally.store.goods.ShelfStore.Together;
import zinctally.store.listing.Ask;
import zinctally.store.listing.GoodsListings;
import zinctally.store.listing.ListingStore;
import zinctally.store.setup.PlaceStore;

/**
 * Seven of 10.00 in all, three of them damaged, one at a repairer, two in the van, two customers'.
 */
class ShelfTest {
  private static final FreshBook BOOK = new FreshBook();
  private static long wax;

  @BeforeAll
  static void goods_here_and_there() {
    BOOK.get(PlaceStore.class).save(new PlaceStore.Row(0, "Van", Place.Kind.VAN, "", true, true));
    BOOK.item("WAX", "AVERAGE");
    BOOK.bill("2026-01-02", "WAX", "7", "1.428571");
    wax = BOOK.sql().sql("select id from item where code = 'WAX'").query(Long.class).single();
    move(PaperKind.TRANSFER, "3", Map.of("standing", "Damaged"));
    move(PaperKind.TRANSFER, "2", Map.of("into", "Van"));
    move(PaperKind.REPAIR_OUT, "1", Map.of("repairer", "Ferris Motors"));
    move(PaperKind.TAKEN_IN, "2", Map.of());
    BOOK.paper(
        PaperKind.SALES_ORDER, "2026-02-02", Map.of(), "item quantity price", "WAX", "1", "5");
    BOOK.paper(
        PaperKind.PURCHASE_ORDER, "2026-02-02", Map.of(), "item quantity price", "WAX", "4", "2");
  }

  private static void move(PaperKind kind, String quantity, Map<String, String> head) {
    BOOK.paper(kind, "2026-02-01", head, "item quantity", "WAX", quantity);
  }

  @AfterAll
  static void close() {
    BOOK.close();
  }

  @Test
  void what_is_together_is_told_apart_by_place_standing_and_owner() {
    assertThat(BOOK.get(ShelfStore.class).together())
        .extracting(t -> t.place() + " " + t.kind() + " " + t.standing())
        .containsExactly(
            "Store GOOD Good",
            "Store OTHER Damaged",
            "Store OTHERS Fenwick Garden",
            "Van GOOD Good",
            "Ferris Motors GOOD Good");
  }

  /** Each of seven is worth 1.43, which would come to 10.01. */
  @Test
  void what_it_is_worth_by_place_adds_up_to_what_it_is_worth() {
    assertThat(BOOK.worth("WAX")).isEqualTo(1000);
    List<Together> all = BOOK.get(ShelfStore.class).together();
    assertThat(all.stream().mapToLong(Together::worth).sum()).isEqualTo(1000);
    assertThat(all.stream().filter(t -> t.kind() == Kind.OTHERS).mapToLong(Together::worth).sum())
        .isZero();
    long[] listed = {0};
    BOOK.get(ListingStore.class)
        .all(
            GoodsListings.shelf(),
            Ask.ALL,
            row -> {
              Number worth = (Number) row.get("worth");
              if (worth != null) listed[0] += worth.longValue();
            });
    assertThat(listed[0]).isEqualTo(1000);
  }

  @Test
  void goods_of_great_worth_in_small_units_are_no_number_too_large() {
    BOOK.item("GOLD", "FIFO");
    BOOK.bill("2026-01-02", "GOLD", "900000", "9000.00");
    BOOK.paper(
        PaperKind.TRANSFER, "2026-02-01", Map.of("into", "Van"), "item quantity", "GOLD", "300000");
    assertThat(BOOK.get(ShelfStore.class).together().stream().mapToLong(Together::worth).sum())
        .isEqualTo(1000 + BOOK.worth("GOLD"));
  }

  @Test
  void what_was_one_figure_is_told_apart_and_opens_into_its_parts() {
    WhereaboutsStore where = BOOK.get(WhereaboutsStore.class);
    WhereaboutsStore.Parts parts = where.parts(wax);
    assertThat(parts.ours()).isEqualTo(7_000_000);
    assertThat(parts)
        .isEqualTo(
            new WhereaboutsStore.Parts(
                3_000_000, 3_000_000, 0, 1_000_000, 2_000_000, 1_000_000, 4_000_000));
    assertThat(parts.free()).isEqualTo(2_000_000);
    assertThat(where.at(wax))
        .extracting(a -> a.place() + " " + a.standing() + " " + a.owner() + " " + a.free())
        .containsExactly(
            "Store Good  true",
            "Store Damaged  false",
            "Van Good  true",
            "Ferris Motors Good  false",
            "Store Good Fenwick Garden false");
    assertThat(where.promised(wax)).extracting(w -> w.who()).containsExactly("Fenwick Garden");
    assertThat(where.onOrder(wax)).extracting(w -> w.who()).containsExactly("Orrin Joinery");
  }

  @Test
  void what_came_and_went_over_time_is_what_of_ours_did() {
    assertThat(BOOK.get(StockTimeStore.class).since(wax, java.time.LocalDate.of(2026, 1, 1)))
        .singleElement()
        .satisfies(
            c -> {
              assertThat(c.why()).isEqualTo(StockTimeStore.Why.CAME);
              assertThat(c.quantity()).isEqualTo(7_000_000);
            });
  }
}
