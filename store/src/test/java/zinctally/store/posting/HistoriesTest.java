package zinctally.store.posting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.Booked;
import zinctally.core.cost.Position;
import zinctally.store.FreshBook;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;

/** What is read ahead of many items is what each of them would have been read by itself. */
class HistoriesTest {
  private static final int ITEMS = 60; // more than are read at one go
  private static FreshBook book;
  private static PoolStore pools;
  private static List<Long> items;

  @BeforeAll
  static void open() {
    book = new FreshBook();
    pools = book.get(PoolStore.class);
    for (int i = 0; i < ITEMS; i++) book.item("H-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
    // one with checkpoints, some with a few events, the rest with one
    book.bill("2026-02-01", "H-0", "1000", "2.00");
    for (int n = 0; n < 230; n++) book.invoice("2026-02-0" + (2 + n % 5), "H-0", "1", "3.00");
    for (int i = 1; i < ITEMS; i++)
      for (int n = 0; n < (i < 5 ? i : 1); n++)
        book.bill("2026-02-0" + (1 + n), "H-" + i, "5", "2");
    items = book.sql().sql("select id from item where code like 'H-%'").query(Long.class).list();
  }

  @AfterAll
  static void close() {
    book.close();
  }

  private static Position middle(long item) {
    List<Booked> all = pools.events(item);
    return all.get(all.size() * 3 / 4).event().at();
  }

  private static void same(Histories.From read, long item, Position before) {
    PoolHead state = pools.stateBefore(item, before);
    assertThat(read.state()).isEqualTo(state);
    assertThat(read.events()).isEqualTo(pools.eventsAfter(item, state.last()));
    Position at = state.last();
    assertThat(read.events())
        .isEqualTo(
            pools.events(item).stream()
                .filter(e -> at == null || at.before(e.event().at()))
                .toList());
  }

  @Test
  void in_whatever_order_items_are_asked_for() {
    for (int seed = 0; seed < 4; seed++) {
      List<Long> order = new ArrayList<>(items);
      Collections.shuffle(order, new Random(seed));
      Histories histories = new Histories(pools);
      for (long item : items) histories.willBeAsked(item, middle(item));
      for (long item : order) same(histories.before(item, middle(item)), item, middle(item));
    }
  }

  @Test
  void one_has_a_checkpoint_on_the_way_and_begins_there() {
    long hot = items.get(0);
    Histories.From from = new Histories(pools).before(hot, middle(hot));
    assertThat(pools.events(hot)).hasSize(231);
    assertThat(pools.checkpoints(hot)).isNotEmpty();
    Position last = pools.events(hot).get(230).event().at();
    assertThat(new Histories(pools).before(hot, last).state().last())
        .isEqualTo(pools.checkpoints(hot).get(pools.checkpoints(hot).size() - 1).last());
    same(from, hot, middle(hot));
  }

  @Test
  void an_item_asked_for_again_or_from_elsewhere_is_read_anew() {
    Histories histories = new Histories(pools);
    long first = items.get(0);
    long other = items.get(3);
    for (long item : items) histories.willBeAsked(item, middle(item));
    same(histories.before(first, middle(first)), first, middle(first));
    same(histories.before(first, middle(first)), first, middle(first));
    Position start = pools.events(other).get(0).event().at();
    same(histories.before(other, start), other, start);
    same(histories.before(other, middle(other)), other, middle(other));
  }
}
