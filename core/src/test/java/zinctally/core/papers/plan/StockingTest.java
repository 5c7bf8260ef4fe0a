package zinctally.core.papers.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.COST;
import static zinctally.core.papers.SmallBook.EXTRACTOR;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.RENT;

import java.util.List;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Lot;
import zinctally.core.number.Quantity;
import zinctally.core.papers.consign.Taken;
import zinctally.core.papers.flow.Numbered;

class StockingTest {
  private static final List<Numbered> TWO = List.of(one(1), one(2));
  private final Stocking stock = new Stocking();

  private static Numbered one(long id) {
    return new Numbered(new Lot(id, EXTRACTOR.id(), "EX-" + id, null), Quantity.ONE, 900 + id);
  }

  private static Taken theirs(long micros, long value, List<Numbered> numbers) {
    return new Taken(BARN, ORRIN, BARN, micros, value, true, numbers);
  }

  private List<String> events() {
    return stock.events.stream()
        .map(e -> e.kind() + " " + e.quantity() + " " + e.value().minor() + " " + e.contra())
        .toList();
  }

  /** Of one line go ours, then theirs: 10.01 owed for two pieces, 3.00 for three hives. */
  @Test
  void no_two_events_of_a_line_stand_at_one_spot_and_each_numbered_piece_has_its_own() {
    int next = stock.out(0, 0, EXTRACTOR, BARN, 2 * Quantity.ONE, COST, TWO);
    assertThat(next).isEqualTo(2);
    next = stock.taken(0, next, EXTRACTOR, theirs(2 * Quantity.ONE, 1001, TWO), COST);
    assertThat(next).isEqualTo(6);
    next = stock.taken(0, next, HIVE, theirs(3 * Quantity.ONE, 300, List.of()), COST);
    assertThat(next).isEqualTo(8);
    next = stock.out(0, next, HIVE, BARN, Quantity.ONE, COST, List.of());
    assertThat(next).isEqualTo(9);
    assertThat(stock.out(0, next, HIVE, BARN, 0, COST, List.of())).isEqualTo(9);
    assertThat(stock.events).extracting(Plan.Event::spot).doesNotHaveDuplicates();
    assertThat(events())
        .containsExactly(
            "OUT 1 0 " + COST,
            "OUT 1 0 " + COST,
            "IN 1 501 0",
            "OUT 1 0 " + COST,
            "IN 1 500 0",
            "OUT 1 0 " + COST,
            "IN 3 300 0",
            "OUT 3 0 " + COST,
            "OUT 1 0 " + COST);
    assertThat(stock.events.get(1).target()).isEqualTo(new Plan.Earlier(902));
    assertThat(stock.events.get(5).target()).isEqualTo(new Plan.Within(stock.events.get(4).spot()));
    assertThat(stock.moves.stream().mapToLong(m -> m.quantity().micros()).sum())
        .isEqualTo((-2 - 2 - 3 - 1) * Quantity.ONE);
  }

  @Test
  void what_becomes_an_arrival_of_its_own_leaves_and_is_back_with_its_charge_at_three_spots() {
    stock.anew(4, EXTRACTOR, 2 * Quantity.ONE, 301, RENT, TWO);
    assertThat(events())
        .containsExactly(
            "OUT 1 0 0",
            "BACK 1 0 0",
            "CHARGE 0 151 " + RENT,
            "OUT 1 0 0",
            "BACK 1 0 0",
            "CHARGE 0 150 " + RENT);
    assertThat(stock.events).extracting(Plan.Event::spot).doesNotHaveDuplicates();
    assertThat(stock.events.get(4).target()).isEqualTo(new Plan.Within(new Spot(4, 3)));
    assertThat(stock.events.get(3).target()).isEqualTo(new Plan.Earlier(902));
    stock.events.clear();
    stock.anew(0, HIVE, Quantity.ONE, 0, RENT, List.of());
    assertThat(stock.events)
        .extracting(Plan.Event::kind)
        .containsExactly(EventKind.OUT, EventKind.BACK);
  }
}
