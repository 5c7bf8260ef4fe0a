package zinctally.web.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.store.goods.ShelfStore.Kind;
import zinctally.store.goods.ShelfStore.Together;
import zinctally.store.goods.StockTimeStore.Change;
import zinctally.store.goods.StockTimeStore.Why;

/** What is drawn of stock stands where its figures say. */
class StockPicturesTest {
  private static final LocalDate FIRST = LocalDate.of(2026, 3, 2);

  @ParameterizedTest
  @CsvSource({
    "0, 1, 4, 0 1",
    "1, 1, 4, 0 1",
    "7, 1, 4, 0 2 4 6 8",
    "53, 1, 4, 0 20 40 60",
    "1097, 1, 4, 0 500 1000 1500",
    "400, 100, 4, 0 100 200 300 400"
  })
  void an_axis_has_round_figures_up_to_the_most(long most, long unit, int steps, String ticks) {
    Scale scale = Scale.of(most, unit, steps);
    assertThat(scale.ticks().toString().replaceAll("[\\[\\],]", "")).isEqualTo(ticks);
    assertThat(scale.most()).isGreaterThanOrEqualTo(most);
    assertThat(scale.at(scale.most(), 80)).isEqualTo(80);
  }

  private static StockTimePicture drawn(long now, Change... changes) {
    return StockTimePicture.of(
        FIRST,
        FIRST.plusDays(27),
        now,
        List.of(changes),
        List.of(FIRST.plusDays(1)),
        List.of(FIRST.plusDays(9)),
        5_000_000L,
        String::valueOf);
  }

  private static Change on(int day, Why why, long pieces) {
    return new Change(FIRST.plusDays(day), why, pieces * 1_000_000);
  }

  /** From 10: 4 sold in the second week, 6 came and 1 was missing in the third; 11 are left. */
  @Test
  void each_week_says_what_came_was_sold_and_was_there_at_its_end() {
    StockTimePicture picture =
        drawn(11_000_000, on(8, Why.SOLD, -4), on(15, Why.CAME, 6), on(16, Why.COUNTED, -1));
    assertThat(picture.weeks())
        .extracting(
            w ->
                w.came() / 1_000_000
                    + " "
                    + w.sold() / 1_000_000
                    + " "
                    + w.other() / 1_000_000
                    + " "
                    + w.level() / 1_000_000)
        .containsExactly("0 0 0 10", "0 4 0 6", "6 0 -1 11", "0 0 0 11");
    assertThat(picture.levels().get(0).at()).isEqualTo(StockTimePicture.FOOT);
    assertThat(picture.reorder())
        .isBetween(StockTimePicture.TOP + 0.0, StockTimePicture.FOOT + 0.0);
    assertThat(picture.counted().get(0).y()).isLessThan(picture.ordered().get(0).y());
    assertThat(picture.line()).startsWith(StockTimePicture.LEFT + ".0,");
  }

  @Test
  void an_item_that_never_moved_is_a_level_line_at_nothing() {
    StockTimePicture picture = drawn(0);
    assertThat(picture.line().split(" ")).allMatch(p -> p.endsWith(",190.0"));
    assertThat(picture.weeks()).allMatch(w -> w.level() == 0 && w.came() == 0 && w.sold() == 0);
  }

  @Test
  void a_board_is_as_long_as_it_is_worth_and_what_is_not_ours_is_seen_too() {
    ShelfPicture shelf =
        ShelfPicture.of(
            List.of(
                new Together("Barn", Kind.GOOD, "Good", 3, 80_000),
                new Together("Barn", Kind.OTHER, "Damaged", 1, 20_000),
                new Together("Shop", Kind.GOOD, "Good", 2, 50_000),
                new Together("Shop", Kind.OTHERS, "Fenwick Garden", 1, 0)),
            Together::worth,
            100,
            String::valueOf);
    List<ShelfPicture.Stack> barn = shelf.boards().get(0).stacks();
    List<ShelfPicture.Stack> shop = shelf.boards().get(1).stacks();
    assertThat(shelf.boards())
        .extracting(ShelfPicture.Board::figure)
        .containsExactly("100000", "50000");
    assertThat(barn.get(0).width() + 1.5).isEqualTo(4 * (barn.get(1).width() + 1.5));
    assertThat(shop.get(1).width()).isPositive();
    assertThat(shop.get(1).title()).isEqualTo("Shop, of Fenwick Garden: 1 item");
    assertThat(shelf.ticks().get(0).x()).isEqualTo(ShelfPicture.LEFT);
  }
}
