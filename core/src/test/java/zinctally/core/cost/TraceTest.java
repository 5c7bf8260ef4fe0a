package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.number.Quantity;

/** Where costs went, as a pool tells it: what "why this cost?" shows. */
class TraceTest {
  private record Draw(long out, long arrival, long pieces, long value) {}

  private static List<Draw> draws(Story story, Method method, PoolState from) {
    List<Draw> draws = new ArrayList<>();
    Pool pool =
        new Pool(
            method,
            from,
            true,
            Past.NONE,
            (out, arrival, quantity, value) ->
                draws.add(new Draw(out, arrival, quantity / Quantity.ONE, value)));
    Recost.of(pool, List.of(), story.fresh(), 0);
    return draws;
  }

  private static List<Draw> draws(Story story, Method method) {
    return draws(story, method, PoolState.EMPTY);
  }

  @Test
  void an_out_draws_from_each_arrival_it_takes_of() {
    Story story = new Story(0).in(3, 300).in(4, 800).out(5);
    assertThat(draws(story, Method.FIFO))
        .containsExactly(new Draw(3, 1, 3, 300), new Draw(3, 2, 2, 400));
    assertThat(draws(story, Method.LIFO))
        .containsExactly(new Draw(3, 2, 4, 800), new Draw(3, 1, 1, 100));
    assertThat(draws(story, Method.AVERAGE)).containsExactly(new Draw(3, 0, 5, 786));
  }

  @Test
  void what_is_short_draws_provisionally_until_an_arrival_covers_it() {
    Story story = new Story(0).in(1, 100).out(3).in(4, 480);
    assertThat(draws(story, Method.FIFO))
        .containsExactly(
            new Draw(2, 1, 1, 100),
            new Draw(2, 0, 2, 200),
            new Draw(2, 0, -2, -200),
            new Draw(2, 3, 2, 240));
  }

  @Test
  void what_comes_back_of_what_is_short_takes_its_provisional_cost_back() {
    Story story = new Story(0).in(1, 100).out(3).back(1, 2);
    assertThat(draws(story, Method.FIFO))
        .containsExactly(new Draw(2, 1, 1, 100), new Draw(2, 0, 2, 200), new Draw(3, 0, -1, -100));
  }

  @Test
  void an_out_of_one_arrival_draws_from_it_alone() {
    Story story = new Story(0).in(3, 300).in(4, 800).outOf(2, 2);
    assertThat(draws(story, Method.FIFO)).containsExactly(new Draw(3, 2, 2, 400));
  }

  @ParameterizedTest
  @EnumSource(names = {"FIFO", "LIFO", "AVERAGE"})
  void what_an_out_draws_is_what_it_costs_in_the_end(Method method) {
    Story story =
        new Story(0).in(2, 201).out(3).out(4).in(9, 777).revalue(-50).in(3, 100).out(2).out(9);
    Map<Long, Long> drawn = new HashMap<>();
    draws(story, method).forEach(d -> drawn.merge(d.out, d.value, Long::sum));
    Recost recost = story.by(method, true);
    for (long out : new long[] {2, 3, 7, 8})
      assertThat(drawn.get(out)).isEqualTo(-Story.value(recost, out));
  }
}
