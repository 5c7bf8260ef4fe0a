package zinctally.core.moves;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import zinctally.core.Any;
import zinctally.core.Seeded;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.number.Quantity;

class CostingTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 1);
  private final Moves moves = new Moves();

  private void add(int day, int item, EventKind kind, int quantity, long value, int target) {
    int row = moves.size();
    int date = (int) DAY.plusDays(day).toEpochDay();
    moves.add(row + 2, date, item, kind, quantity * Quantity.ONE, value, "r" + row);
    if (target >= 0) moves.refer(row, target);
  }

  private Costing cost(Method... methods) {
    return new Costing(moves, List.of(methods));
  }

  @Test
  void rows_are_worked_by_day_whatever_their_place_in_the_file() {
    add(2, 0, EventKind.OUT, 3, 0, -1);
    add(0, 0, EventKind.IN, 2, 200, -1);
    add(1, 0, EventKind.IN, 2, 300, -1);
    Costing costing = cost(Method.FIFO);
    assertThat(costing.faults()).isEmpty();
    assertThat(costing.value(0)).isEqualTo(-350);
    assertThat(costing.quantity(0)).isEqualTo(-3 * Quantity.ONE);
    assertThat(costing.onHand(0)).isEqualTo(Quantity.ONE);
    assertThat(costing.worth(0)).isEqualTo(150);
    assertThat(costing.onHand(1)).isEqualTo(2 * Quantity.ONE);
  }

  @Test
  void a_charge_belongs_to_its_arrival_whenever_it_comes() {
    add(0, 0, EventKind.IN, 4, 400, -1);
    add(1, 0, EventKind.OUT, 2, 0, -1);
    add(2, 0, EventKind.CHARGE, 0, 40, 0);
    Costing costing = cost(Method.FIFO);
    assertThat(costing.value(1)).isEqualTo(-220);
    assertThat(costing.value(0)).isEqualTo(400);
    assertThat(costing.value(2)).isEqualTo(40);
    assertThat(costing.worth(1)).isEqualTo(220);
  }

  @Test
  void what_goes_before_it_comes_is_covered_by_what_comes_next() {
    add(0, 0, EventKind.OUT, 2, 0, -1);
    add(1, 0, EventKind.IN, 1, 150, -1);
    assertThat(cost(Method.FIFO).uncovered()).containsOnlyKeys(0);
    add(2, 0, EventKind.IN, 3, 300, -1);
    Costing covered = cost(Method.FIFO);
    assertThat(covered.uncovered()).isEmpty();
    assertThat(covered.value(0)).isEqualTo(-250);
  }

  @Test
  void what_cannot_be_costed_is_named_by_its_row() {
    add(0, 0, EventKind.IN, 1, 100, -1);
    add(1, 0, EventKind.OUT, 1, 0, 0);
    add(2, 0, EventKind.BACK, 2, 0, 1);
    add(0, 1, EventKind.REVALUE, 0, -5, -1);
    add(0, 2, EventKind.CHARGE, 0, -5, 5);
    add(1, 2, EventKind.IN, 1, 4, -1);
    Costing costing = cost(Method.FIFO, Method.AVERAGE, Method.FIFO);
    assertThat(costing.faults())
        .containsEntry(2, "more comes back than is left of that out")
        .containsEntry(3, "there is nothing on hand to revalue")
        .hasSize(3);
  }

  @Test
  void a_row_keeps_all_that_was_read_of_it() {
    for (int i = 0; i < 2500; i++) add(i % 7, i % 3, EventKind.IN, i, i, i - 1);
    assertThat(moves.size()).isEqualTo(2500);
    for (int i : new int[] {0, 1023, 1024, 2499}) {
      assertThat(moves.line(i)).isEqualTo(i + 2);
      assertThat(moves.day(i)).isEqualTo((int) DAY.plusDays(i % 7).toEpochDay());
      assertThat(moves.item(i)).isEqualTo(i % 3);
      assertThat(moves.kind(i)).isEqualTo(EventKind.IN);
      assertThat(moves.quantity(i)).isEqualTo(i * Quantity.ONE);
      assertThat(moves.value(i)).isEqualTo(i);
      assertThat(moves.ref(i)).isEqualTo("r" + i);
      assertThat(moves.target(i)).isEqualTo(i - 1);
    }
  }

  /** What went in is what went out and what is left, at every row, for every item. */
  @Seeded
  void value_is_kept(Any any) {
    int items = any.between(1, 3);
    List<Integer> ins = new ArrayList<>();
    for (int i = 0; i < any.between(1, 30); i++) {
      boolean in = ins.isEmpty() || any.coin();
      if (in) ins.add(moves.size());
      add(
          any.between(0, 9),
          any.between(0, items - 1),
          in ? EventKind.IN : EventKind.OUT,
          any.between(1, 9),
          in ? any.between(0, 9999) : 0,
          -1);
    }
    Costing costing = cost(any.of(Method.FIFO, Method.AVERAGE), Method.AVERAGE, Method.LIFO);
    if (!costing.faults().isEmpty()) return;
    for (int item = 0; item < items; item++) {
      long value = 0;
      long quantity = 0;
      int last = -1;
      for (int row = 0; row < moves.size(); row++) {
        if (moves.item(row) != item) continue;
        value += costing.value(row);
        quantity += costing.quantity(row);
        if (last < 0 || moves.day(row) >= moves.day(last)) last = row;
      }
      if (last < 0) continue;
      assertThat(costing.worth(last)).isEqualTo(value);
      assertThat(costing.onHand(last)).isEqualTo(quantity);
    }
  }
}
