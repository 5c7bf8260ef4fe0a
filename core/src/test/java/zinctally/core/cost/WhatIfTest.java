package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class WhatIfTest {
  private static WhatIf by(Method method, Story story, boolean mayGoShort) {
    Pool pool = new Pool(method, PoolState.EMPTY, mayGoShort, Past.NONE, Trace.SILENT);
    return WhatIf.of(pool, story.fresh());
  }

  @Test
  void the_same_goods_cost_what_each_method_says() {
    Story story = new Story(0).in(1, 100).in(1, 300).out(1);
    assertThat(by(Method.FIFO, story, false)).isEqualTo(new WhatIf(100, 300, 0));
    assertThat(by(Method.LIFO, story, false)).isEqualTo(new WhatIf(300, 100, 0));
    assertThat(by(Method.AVERAGE, story, false)).isEqualTo(new WhatIf(200, 200, 0));
  }

  @Test
  void what_came_back_cost_nothing_in_the_end() {
    Story story = new Story(0).in(4, 400).out(3).back(1, 2);
    assertThat(by(Method.FIFO, story, false)).isEqualTo(new WhatIf(200, 200, 0));
  }

  @Test
  void what_an_arrival_covers_later_costs_what_that_cost() {
    Story story = new Story(0).in(1, 100).out(2).in(2, 500);
    assertThat(by(Method.FIFO, story, true)).isEqualTo(new WhatIf(350, 250, 0));
  }

  @Test
  void a_revaluation_that_the_method_has_no_room_for_is_left_out_and_counted() {
    Story story = new Story(0).in(1, 100).in(1, 300).out(1).revalue(-250);
    assertThat(by(Method.FIFO, story, false)).isEqualTo(new WhatIf(100, 50, 0));
    assertThat(by(Method.LIFO, story, false)).isEqualTo(new WhatIf(300, 100, 1));
    assertThatThrownBy(() -> by(Method.FIFO, new Story(0).out(1), false))
        .isInstanceOf(CannotCost.class);
  }
}
