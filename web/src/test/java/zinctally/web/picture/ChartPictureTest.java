package zinctally.web.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import zinctally.web.picture.ChartPicture.Mark;
import zinctally.web.picture.ChartPicture.Series;

class ChartPictureTest {
  private static List<BigDecimal> values(int... values) {
    return Arrays.stream(values).mapToObj(BigDecimal::valueOf).toList();
  }

  @Test
  void the_scale_goes_in_round_steps_and_has_zero_in_it() {
    ChartPicture picture =
        ChartPicture.bars(
            List.of("a", "b"),
            List.of(new Series("Sales", values(-130, 870))),
            BigDecimal::toPlainString);
    assertThat(picture.ticks())
        .extracting(ChartPicture.Tick::words)
        .containsExactly("-200", "0", "200", "400", "600", "800", "1000");
    Mark below = picture.bars().get(0);
    assertThat(below.y()).isEqualTo(picture.zero(), within(1e-9));
    assertThat(picture.bars().get(1).y() + picture.bars().get(1).height())
        .isEqualTo(picture.zero(), within(1e-9));
    assertThat(below.height() / picture.bars().get(1).height())
        .isEqualTo(130 / 870.0, within(1e-9));
    assertThat(below.says()).isEqualTo("a: -130");
    assertThat(picture.legend()).isEmpty();
  }

  @Test
  void two_series_have_a_legend_and_say_whose_a_value_is() {
    ChartPicture picture =
        ChartPicture.lines(
            List.of("2026-01"),
            List.of(new Series("Sales", values(5)), new Series("Margin", values(2))),
            BigDecimal::toPlainString);
    assertThat(picture.legend()).hasSize(2);
    assertThat(picture.lines().get(1).marks().get(0).says()).isEqualTo("2026-01, Margin: 2");
  }

  @Test
  void of_nothing_but_zeros_there_is_still_a_scale() {
    ChartPicture picture =
        ChartPicture.bars(
            List.of("a"), List.of(new Series("", values(0))), BigDecimal::toPlainString);
    assertThat(picture.ticks()).hasSizeGreaterThan(1);
    assertThat(picture.bars().get(0).height()).isZero();
  }

  @Test
  void steps_begin_where_the_one_before_them_ended() {
    ChartPicture picture =
        ChartPicture.bridge(
            List.of("Before", "Bought", "Sold", "At the end"),
            values(100, 50, -80, 70),
            BigDecimal::toPlainString);
    List<Mark> bars = picture.bars();
    assertThat(bars.get(1).y() + bars.get(1).height()).isEqualTo(bars.get(0).y(), within(1e-9));
    assertThat(bars.get(2).y()).isEqualTo(bars.get(1).y(), within(1e-9));
    assertThat(bars.get(2).y() + bars.get(2).height()).isEqualTo(bars.get(3).y(), within(1e-9));
    assertThat(bars.get(2).says()).isEqualTo("Sold: -80");
  }

  @Test
  void long_names_are_cut_and_of_many_places_some_are_named() {
    List<String> places = IntStream.range(0, 60).mapToObj(i -> "A very long name " + i).toList();
    ChartPicture picture =
        ChartPicture.bars(
            places,
            List.of(new Series("", Collections.nCopies(60, BigDecimal.ONE))),
            BigDecimal::toPlainString);
    assertThat(picture.labels()).hasSizeLessThanOrEqualTo(14);
    assertThat(picture.labels()).allMatch(l -> l.words().length() <= 14);
    assertThat(picture.bars()).hasSize(60);
  }

  @Test
  void percentages_beside_amounts_have_an_axis_of_their_own() {
    ChartPicture picture =
        ChartPicture.lines(
            List.of("2026-01", "2026-02"),
            List.of(new Series("Margin", values(900, 400))),
            BigDecimal::toPlainString,
            List.of(new Series("Margin %", values(40, 20))),
            v -> v.toPlainString() + "%");
    assertThat(picture.right()).extracting(ChartPicture.Tick::words).contains("0%", "40%");
    assertThat(picture.legend()).hasSize(2);
    Mark percent = picture.lines().get(1).marks().get(0);
    assertThat(percent.says()).isEqualTo("2026-01, Margin %: 40%");
    assertThat(percent.y())
        .isEqualTo(
            picture.right().stream()
                .filter(t -> t.words().equals("40%"))
                .findFirst()
                .orElseThrow()
                .y(),
            within(1e-9));
  }
}
