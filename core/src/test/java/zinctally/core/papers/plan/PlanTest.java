package zinctally.core.papers.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Lot;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;

class PlanTest {
  private static final Lot NEW = new Lot(0, 3, "EX-1", null);
  private static final Lot KNOWN = new Lot(5, 3, "EX-2", null);

  private static Plan.Event event(int line, int part, long item, Lot lot) {
    return new Plan.Event(
        new Spot(line, part),
        EventKind.IN,
        item,
        new Quantity(1),
        Money.ZERO,
        Plan.Target.NONE,
        0,
        null,
        null,
        lot);
  }

  private static Plan.Move move(Lot lot) {
    return new Plan.Move(new Spot(0, 0), 3, 1, new Quantity(1), null, lot);
  }

  private static Plan plan(List<Plan.Event> events, List<Plan.Move> moves) {
    return new Plan(events, moves, List.of(), List.of(), List.of());
  }

  @Test
  void an_event_is_found_by_its_spot_and_item() {
    Plan plan =
        plan(List.of(event(0, 0, 3, null), event(0, 1, 3, null), event(0, 1, 4, null)), List.of());
    assertThat(plan.at(new Spot(0, 1), 4)).isSameAs(plan.events().get(2));
    assertThat(plan.at(new Spot(0, 1), 3)).isSameAs(plan.events().get(1));
    assertThatThrownBy(() -> plan.at(new Spot(1, 1), 3)).isInstanceOf(NoSuchElementException.class);
  }

  @Test
  void lots_named_for_the_first_time_are_put_in_once_they_are_made() {
    Plan plan =
        plan(
            List.of(event(0, 0, 3, NEW), event(0, 1, 3, KNOWN)),
            List.of(move(NEW), move(KNOWN), move(null)));
    assertThat(plan.newLots()).containsExactly(NEW);
    Lot made = new Lot(9, 3, "EX-1", null);
    Plan with = plan.with(Map.of(NEW, made));
    assertThat(with.events()).extracting(Plan.Event::lot).containsExactly(made, KNOWN);
    assertThat(with.moves()).extracting(Plan.Move::lot).containsExactly(made, KNOWN, null);
    assertThat(plan.with(Map.of())).isSameAs(plan);
  }

  @Test
  void first_parts_of_all_lines_come_before_second_parts() {
    assertThat(List.of(new Spot(0, 0), new Spot(5, 0), new Spot(0, 1), new Spot(1, 1))).isSorted();
  }

  @Test
  void what_belongs_to_an_event_of_the_same_plan_is_told_which_it_became() {
    assertThat(new Plan.Within(new Spot(2, 1)).event(spot -> spot.line() * 10L + spot.part()))
        .isEqualTo(21);
    assertThat(new Plan.Earlier(7).event(spot -> 0)).isEqualTo(7);
    assertThat(Plan.Target.NONE.event(spot -> 9)).isZero();
  }
}
