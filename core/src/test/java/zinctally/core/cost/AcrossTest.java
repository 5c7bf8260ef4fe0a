package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;

class AcrossTest {
  private static final long BOX = 1;
  private static final long FRAME = 2;
  private static final long KIT = 3;

  /** One pool, by the values its arrivals get. */
  private interface Replay extends Function<Map<Long, Long>, Recost> {}

  /** Works out pools none of which was booked before. */
  private static Map<Long, Recost> settle(Map<Long, Replay> pools, List<Making> makings) {
    Set<Long> results =
        makings.stream()
            .flatMap(m -> m.results().stream())
            .map(Making.Result::item)
            .collect(Collectors.toSet());
    List<Long> first = pools.keySet().stream().filter(i -> !results.contains(i)).toList();
    return Across.settle(
            first.isEmpty() ? pools.keySet() : first,
            new Across.Pools() {
              @Override
              public Recost recost(long item, Map<Long, Long> values) {
                return pools.get(item).apply(values);
              }

              @Override
              public List<Making> madeOf(long item, Recost recost) {
                return makings.stream()
                    .filter(m -> m.components().stream().anyMatch(c -> c.item() == item))
                    .toList();
              }
            })
        .pools();
  }

  private static Making.Component of(long item, long event) {
    return new Making.Component(item, event, null);
  }

  private static Making.Result into(long item, long event, long weight) {
    return new Making.Result(item, event, weight, null);
  }

  /** A pool told as a story whose arrivals may get other values. */
  private static Replay pool(Method method, Story story) {
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
    Making kit = new Making(List.of(of(BOX, 2), of(FRAME, 102)), 200, List.of(into(KIT, 201, 1)));
    Map<Long, Replay> pools = new HashMap<>();
    pools.put(FRAME, pool(Method.AVERAGE, frames));
    pools.put(KIT, pool(Method.FIFO, kits));
    pools.put(BOX, pool(Method.FIFO, boxes));
    Map<Long, Recost> before = settle(pools, List.of(kit));
    assertThat(before.get(KIT).values().get(201L)).isEqualTo(2678);
    assertThat(before.get(KIT).values().get(202L)).isEqualTo(-1339);
    pools.put(BOX, pool(Method.FIFO, boxes.charge(10, 1)));
    Map<Long, Recost> after = settle(pools, List.of(kit));
    assertThat(after.get(KIT).values().get(202L)).isEqualTo(-1344);
    assertThat(after.get(KIT).end().worth()).isEqualTo(1344);
  }

  /**
   * A box comes out at 11.00 in the first pass and, once what it is made of is known, at the 10.00
   * at which it is booked: the kit made of it is worth 10.00 again.
   */
  @Test
  void what_changes_in_one_pass_and_not_in_the_next_is_put_back() {
    Making box = new Making(List.of(of(FRAME, 102)), 0, List.of(into(BOX, 1, 1)));
    Making kit =
        new Making(
            List.of(new Making.Component(BOX, 2, 1000L)),
            0,
            List.of(new Making.Result(KIT, 201, 1, 1000L)));
    Map<Long, Replay> pools =
        Map.of(
            BOX, pool(Method.FIFO, new Story().in(1, 1100).out(1)),
            FRAME, pool(Method.FIFO, new Story(100).in(1, 1000).out(1)),
            KIT, pool(Method.FIFO, new Story(200).in(1, 1000)));
    Across.Settled settled =
        Across.settle(
            List.of(BOX, FRAME),
            new Across.Pools() {
              @Override
              public Recost recost(long item, Map<Long, Long> values) {
                return pools.get(item).apply(values);
              }

              @Override
              public List<Making> madeOf(long item, Recost recost) {
                if (item == FRAME) return List.of(box);
                return item == BOX && recost.values().get(2L) != -1000 ? List.of(kit) : List.of();
              }
            });
    assertThat(settled.pools().get(KIT).values().get(201L)).isEqualTo(1000);
  }

  /** By hand: a hive of 50.00 and 1.00 of labour, taken apart by weights 3, 2 and 2. */
  @Test
  void a_disassembly_shares_the_whole_to_the_cent() {
    Making apart =
        new Making(
            List.of(of(BOX, 2)),
            100,
            List.of(into(FRAME, 101, 3), into(KIT, 201, 2), into(KIT, 202, 2)));
    Map<Long, Replay> pools =
        Map.of(
            BOX, pool(Method.FIFO, new Story().in(1, 5000).out(1)),
            FRAME, pool(Method.FIFO, new Story(100).in(1, 0)),
            KIT, pool(Method.FIFO, new Story(200).in(1, 0).in(1, 0)));
    Map<Long, Recost> worked = settle(pools, List.of(apart));
    assertThat(worked.get(FRAME).values()).containsEntry(101L, 2186L);
    assertThat(worked.get(KIT).values()).containsEntry(201L, 1457L).containsEntry(202L, 1457L);
  }

  @Test
  void goods_made_of_themselves_are_refused() {
    Story story = new Story().in(2, 100).out(1).in(1, 0);
    Making circle = new Making(List.of(of(BOX, 2)), 1, List.of(into(BOX, 1, 1)));
    assertThatThrownBy(() -> settle(Map.of(BOX, pool(Method.AVERAGE, story)), List.of(circle)))
        .isInstanceOf(Across.Circle.class);
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
    List<Making> made =
        List.of(
            new Making(List.of(of(BOX, 2)), labour, List.of(into(FRAME, 101, 1))),
            new Making(List.of(of(FRAME, 102)), 0, List.of(into(KIT, 202, 1))));
    Map<Long, Recost> worked =
        settle(
            Map.of(KIT, pool(method, sets), FRAME, pool(method, kits), BOX, pool(method, parts)),
            made);
    long in = values.get(0) + values.get(1) + values.get(2) + labour + values.get(3);
    long left = worked.values().stream().mapToLong(r -> r.end().worth()).sum();
    long sold = -worked.get(KIT).values().get(203L);
    assertThat(left + sold).isEqualTo(in);
  }
}
