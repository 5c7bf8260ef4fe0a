package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;

class AcrossTest {
  private static final long BOX = 1;
  private static final long FRAME = 2;
  private static final long KIT = 3;

  /** A pool told as a story whose arrivals may get other values. */
  private static Across.Replay pool(Method method, Story story) {
    return values -> {
      List<Booked> events =
          story.fresh().stream()
              .map(
                  b ->
                      new Booked(
                          with(b.event(), values.getOrDefault(b.event().id(), b.event().value())),
                          b.charges(),
                          0,
                          true))
              .toList();
      Pool pool = new Pool(method, PoolState.EMPTY, false, Past.NONE, Trace.SILENT);
      return Recost.of(pool, List.of(), events, 0);
    };
  }

  private static CostEvent with(CostEvent e, long value) {
    return new CostEvent(e.id(), e.kind(), e.at(), e.quantity(), value, e.target());
  }

  /**
   * By hand: a box at 16.40 and ten frames of fifty at 41.90 (8.38), and 2.00 for packing, make two
   * kits worth 26.78; one is sold for 13.39. Ten cents of freight on the box make it 13.44.
   */
  @Test
  void a_kit_costs_its_parts_and_follows_them() {
    Story boxes = new Story().in(1, 1640).out(1);
    Story frames = new Story(100).in(50, 4190).out(10);
    Story kits = new Story(200).in(2, 0).out(1);
    Assembly kit =
        new Assembly(
            List.of(new Assembly.Component(BOX, 2), new Assembly.Component(FRAME, 102)),
            200,
            List.of(new Assembly.Result(KIT, 201, 1)));
    Map<Long, Across.Replay> pools = new HashMap<>();
    pools.put(FRAME, pool(Method.AVERAGE, frames));
    pools.put(KIT, pool(Method.FIFO, kits));
    pools.put(BOX, pool(Method.FIFO, boxes));
    Map<Long, Recost> before = Across.settle(pools, List.of(kit));
    assertThat(before.get(KIT).values().get(201L)).isEqualTo(2678);
    assertThat(before.get(KIT).values().get(202L)).isEqualTo(-1339);
    pools.put(BOX, pool(Method.FIFO, boxes.charge(10, 1)));
    Map<Long, Recost> after = Across.settle(pools, List.of(kit));
    assertThat(after.get(KIT).values().get(202L)).isEqualTo(-1344);
    assertThat(after.get(KIT).end().worth()).isEqualTo(1344);
  }

  /** By hand: a hive of 50.00 and 1.00 of labour, taken apart by weights 3, 2 and 2. */
  @Test
  void a_disassembly_shares_the_whole_to_the_cent() {
    Assembly apart =
        new Assembly(
            List.of(new Assembly.Component(BOX, 2)),
            100,
            List.of(
                new Assembly.Result(FRAME, 101, 3),
                new Assembly.Result(KIT, 201, 2),
                new Assembly.Result(KIT, 202, 2)));
    Map<Long, Across.Replay> pools =
        Map.of(
            BOX, pool(Method.FIFO, new Story().in(1, 5000).out(1)),
            FRAME, pool(Method.FIFO, new Story(100).in(1, 0)),
            KIT, pool(Method.FIFO, new Story(200).in(1, 0).in(1, 0)));
    Map<Long, Recost> worked = Across.settle(pools, List.of(apart));
    assertThat(worked.get(FRAME).values()).containsEntry(101L, 2186L);
    assertThat(worked.get(KIT).values()).containsEntry(201L, 1457L).containsEntry(202L, 1457L);
  }

  @Test
  void goods_made_of_themselves_are_refused() {
    Story story = new Story().in(2, 100).out(1).in(1, 0);
    Assembly circle =
        new Assembly(
            List.of(new Assembly.Component(BOX, 2)), 1, List.of(new Assembly.Result(BOX, 1, 1)));
    assertThatThrownBy(
            () -> Across.settle(Map.of(BOX, pool(Method.AVERAGE, story)), List.of(circle)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Parts into a kit, the kit into a set, each partly sold: nothing is lost on the way. */
  @Seeded
  void what_went_in_is_what_was_sold_and_what_is_left(Any any) {
    List<Long> values = any.list(4, 4, a -> a.between(0L, 99_999L));
    int used = any.between(1, 9);
    int kitsSold = any.between(1, 5);
    long labour = any.between(0, 999);
    Method method = any.of(Method.FIFO, Method.AVERAGE, Method.LIFO);
    Story parts =
        new Story().in(10, values.get(0)).out(used).in(5, values.get(1)).charge(values.get(2), 1);
    Story kits = new Story(100).in(6, 0).out(kitsSold);
    Story sets = new Story(200).in(1, values.get(3)).in(3, 0).out(2);
    List<Assembly> made =
        List.of(
            new Assembly(
                List.of(new Assembly.Component(BOX, 2)),
                labour,
                List.of(new Assembly.Result(FRAME, 101, 1))),
            new Assembly(
                List.of(new Assembly.Component(FRAME, 102)),
                0,
                List.of(new Assembly.Result(KIT, 202, 1))));
    Map<Long, Recost> worked =
        Across.settle(
            Map.of(KIT, pool(method, sets), FRAME, pool(method, kits), BOX, pool(method, parts)),
            made);
    long in = values.get(0) + values.get(1) + values.get(2) + labour + values.get(3);
    long left = worked.values().stream().mapToLong(r -> r.end().worth()).sum();
    long sold = -worked.get(KIT).values().get(203L);
    assertThat(left + sold).isEqualTo(in);
  }
}
