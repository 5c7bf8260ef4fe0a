package zinctally.core.papers.make;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.cost.Method;
import zinctally.core.goods.Item;
import zinctally.core.goods.ItemKind;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.SmallBook;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;

/** What a batch needs, and what is missing through whatever is made itself. */
class NeedsTest {
  private static final Item WAX = item(1, "WAX", Unit.KILOGRAM);
  private static final Item CANDLE = item(2, "CANDLE", Unit.EACH);
  private static final Item CARTON = item(3, "CARTON", Unit.EACH);
  private static final Item BOX = item(4, "BOX", Unit.EACH);

  private static Item item(long id, String code, Unit unit) {
    return new Item(
        id,
        code,
        code,
        ItemKind.STOCKED,
        Units.of(unit),
        Method.FIFO,
        80,
        82,
        81,
        "",
        "",
        true,
        Tracking.NONE,
        null);
  }

  private static Batch.Part part(Item item, String quantity, String waste) {
    return new Batch.Part(item, Quantity.of(quantity), new BigDecimal(waste));
  }

  private static Batch.Labour work(long batch, long piece) {
    return new Batch.Labour(new SmallBook().account(SmallBook.RENT), "", batch, piece);
  }

  /**
   * Whole pieces: all that is in it, and waste when it comes to a piece. Measured goods exactly.
   */
  @ParameterizedTest
  @CsvSource({
    "CARTON, 1, 0, 10, 3, 1",
    "CARTON, 1, 5, 1, 1, 1",
    "CARTON, 1, 5, 1, 20, 21",
    "CARTON, 6, 0, 1, 2, 12",
    "WAX, 1.2, 5, 10, 1, 0.126",
    "WAX, 1, 0, 3, 1, 0.333333"
  })
  void so_much_goes_into_so_many(
      String item, String quantity, String waste, String made, String many, String needed) {
    Batch.Part part = part(item.equals("WAX") ? WAX : CARTON, quantity, waste);
    Batch batch = new Batch(BOX, Quantity.of(made), List.of(part), List.of());
    assertThat(batch.needed(part, Quantity.of(many))).isEqualTo(Quantity.of(needed));
  }

  @Test
  void work_is_for_the_batch_and_for_each() {
    Batch.Labour labour = work(600, 25);
    Batch batch = new Batch(CANDLE, Quantity.of("10"), List.of(), List.of(labour));
    assertThat(batch.charged(labour, Quantity.of("40"))).isEqualTo(2_400 + 1_000);
    assertThat(batch.charged(labour, Quantity.of("1"))).isEqualTo(60 + 25);
  }

  /**
   * By hand: ten boxes take ten cartons, of which 4 are here, and 60 candles, of which 20 are here:
   * 40 are to be made of 4.8 kg of wax with 5 percent lost, 5.04; 3 are here. At cost: wax for all
   * 60 candles is 7.56 kg at 7.00, 52.92, with 36.00 of work; cartons 5.00; boxes' work 8.50.
   */
  @Test
  void what_is_missing_is_bought_or_made_and_only_for_what_is_not_here() {
    Map<Item, Batch> made = new HashMap<>();
    made.put(
        CANDLE,
        new Batch(
            CANDLE, Quantity.of("10"), List.of(part(WAX, "1.2", "5")), List.of(work(600, 0))));
    Batch box =
        new Batch(
            BOX,
            Quantity.of("1"),
            List.of(part(CANDLE, "6", "0"), part(CARTON, "1", "0")),
            List.of(work(0, 85)));
    Map<Item, Quantity> free =
        Map.of(CANDLE, Quantity.of("20"), CARTON, Quantity.of("4"), WAX, Quantity.of("3"));
    Map<Item, Long> costs = Map.of(WAX, 700L, CARTON, 50L);
    Needs needs =
        new Needs(
            box,
            Quantity.of("10"),
            new Needs.Known() {
              @Override
              public Optional<Batch> batch(Item item) {
                return Optional.ofNullable(made.get(item));
              }

              @Override
              public Quantity free(Item item) {
                return free.get(item);
              }

              @Override
              public Optional<Catalogue.LatestCost> cost(Item item) {
                return Optional.of(new Catalogue.LatestCost(costs.get(item), Quantity.ONE));
              }
            });
    assertThat(needs.toMake()).containsExactly(Map.entry(CANDLE, Quantity.of("40")));
    assertThat(needs.toBuy())
        .containsExactlyInAnyOrderEntriesOf(
            Map.of(WAX, Quantity.of("2.04"), CARTON, Quantity.of("6")));
    assertThat(needs.whole().worth()).contains(5_292L + 3_600 + 500 + 850);
    assertThat(needs.whole().parts().get(0).missing()).isEqualTo(Quantity.of("40"));
  }
}
