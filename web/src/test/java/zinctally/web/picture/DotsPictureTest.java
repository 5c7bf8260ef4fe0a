package zinctally.web.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import zinctally.web.picture.DotsPicture.Thing;

class DotsPictureTest {
  private static Thing thing(long along, int up, long size) {
    return new Thing(along, BigDecimal.valueOf(up), size, "", "/");
  }

  private static DotsPicture of(Thing... things) {
    return DotsPicture.of(
        List.of(things), 100, v -> String.valueOf(v / 100), BigDecimal::toPlainString);
  }

  @Test
  void ten_times_as_much_is_always_as_far_to_the_right() {
    DotsPicture picture = of(thing(5_000, 40, 1), thing(50_000, 40, 2), thing(500_000, 40, 3));
    assertThat(picture.right())
        .extracting(DotsPicture.Step::words)
        .containsExactly("10", "100", "1000", "10000");
    List<DotsPicture.Dot> dots = picture.dots();
    assertThat(dots.get(0).x() - dots.get(1).x())
        .isEqualTo(dots.get(1).x() - dots.get(2).x(), within(1e-9));
    assertThat(picture.right().get(3).x() - picture.right().get(2).x())
        .isEqualTo(dots.get(0).x() - dots.get(1).x(), within(1e-9));
  }

  @Test
  void what_was_not_sold_stands_in_a_strip_of_its_own_and_the_largest_lie_under_the_others() {
    DotsPicture picture = of(thing(0, 0, 900), thing(700, 25, 100), thing(-30, 90, 0));
    assertThat(picture.dots()).extracting(DotsPicture.Dot::series).containsExactly(1, 0, 1);
    assertThat(picture.dots().get(0).x()).isLessThan(picture.strip());
    assertThat(picture.dots().get(1).x()).isGreaterThan(picture.strip());
    assertThat(picture.dots().get(0).radius()).isGreaterThan(picture.dots().get(1).radius());
    assertThat(picture.dots().get(0).y()).isEqualTo(picture.zero(), within(1e-9));
  }

  @Test
  void what_is_far_out_stands_at_the_edge_and_nothing_at_all_can_be_drawn() {
    DotsPicture picture = of(thing(500, -900, 1), thing(500, 100, 1));
    assertThat(picture.up()).extracting(ChartPicture.Tick::words).contains("-50", "100");
    assertThat(of().right()).hasSize(2);
  }
}
