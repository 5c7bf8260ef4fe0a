package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class RecostTest {
  private static Recost from(PoolState state, List<Booked> earlier, Story more, int since) {
    Pool pool = new Pool(Method.FIFO, state, true, Past.NONE, Trace.SILENT);
    return Recost.of(pool, earlier, more.fresh(), since);
  }

  private static Booked posted(Booked fresh, long value) {
    return new Booked(fresh.event(), fresh.charges(), value, false);
  }

  @Test
  void what_stood_short_before_changes_when_an_arrival_covers_it_and_not_otherwise() {
    Story before = new Story(0).in(1, 100).out(3);
    PoolState state = from(PoolState.EMPTY, List.of(), before, 0).end();
    Booked out = posted(before.fresh().get(1), -300);
    Recost covered = from(state, List.of(out), new Story(2).in(4, 480), 0);
    assertThat(Story.value(covered, 2)).isEqualTo(-340);
    assertThat(covered.changes()).hasSize(2);
    Recost untouched = from(state, List.of(out), new Story(2).out(1), 0);
    assertThat(untouched.changes()).extracting(c -> c.event().id()).containsExactly(3L);
  }

  @Test
  void a_state_is_kept_at_every_two_hundredth_event_counted_from_the_latest() {
    Story story = new Story(0);
    for (int i = 0; i < Recost.STRIDE; i++) story.in(1, 100);
    assertThat(from(PoolState.EMPTY, List.of(), story, 0).checkpoints())
        .containsOnlyKeys(story.fresh().get(Recost.STRIDE - 1).event().at());
    assertThat(from(PoolState.EMPTY, List.of(), story, 50).checkpoints())
        .containsOnlyKeys(story.fresh().get(Recost.STRIDE - 51).event().at());
  }
}
