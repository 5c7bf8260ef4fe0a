package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.cost.CannotCost.Reason;
import zinctally.core.number.Quantity;

class PoolTest {
  /**
   * Principles of Accounting, Volume 1 (OpenStax), chapter on inventory, perpetual costing example;
   * figures from memory: opening 150 at 21.00, sold 120, bought 225 at 27.00, sold 180, bought 210
   * at 33.00, 285 left.
   */
  @ParameterizedTest
  @CsvSource({"FIFO,720000", "LIFO,738000", "AVERAGE,725294"})
  void the_textbook_example_gives_its_cost_of_goods_sold(Method method, long cost) {
    Story story = new Story().in(150, 315000).out(120).in(225, 607500).out(180).in(210, 693000);
    Recost recost = story.by(method);
    // The book prints 7,253 for the moving average, rounded to the unit; 7,252.94 to the cent.
    assertThat(Story.costOfOuts(recost)).isEqualTo(cost);
    assertThat(recost.end().onHand()).isEqualTo(285 * Quantity.ONE);
    assertThat(recost.end().worth()).isEqualTo(315000 + 607500 + 693000 - cost);
  }

  @Test
  void a_last_draw_takes_all_that_is_left() {
    Recost recost = new Story().in(3, 1000).out(1).out(1).out(1).by(Method.FIFO);
    assertThat(Story.value(recost, 2)).isEqualTo(-333);
    assertThat(Story.value(recost, 3)).isEqualTo(-334);
    assertThat(Story.value(recost, 4)).isEqualTo(-333);
    assertThat(recost.end()).extracting(PoolState::worth).isEqualTo(0L);
  }

  @Test
  void freight_that_comes_late_reaches_the_goods_already_sold() {
    // IAS 2 paragraphs 10 and 11: transport belongs to the cost of purchase.
    Recost recost = new Story().in(40, 71600).out(14).charge(6520, 1).by(Method.FIFO);
    assertThat(Story.value(recost, 2)).isEqualTo(-27342);
    assertThat(recost.end().worth()).isEqualTo(71600 + 6520 - 27342);
  }

  @Test
  void a_return_comes_back_at_the_cost_at_which_it_left() {
    Recost recost = new Story().in(2, 200).in(2, 400).out(3).back(3, 3).by(Method.FIFO);
    assertThat(Story.value(recost, 3)).isEqualTo(-400);
    assertThat(Story.value(recost, 4)).isEqualTo(400);
    assertThat(recost.end().worth()).isEqualTo(600);
  }

  @Test
  void an_average_pool_gives_a_supplier_his_goods_at_their_own_cost() {
    Recost recost = new Story().in(10, 1000).in(10, 2000).outOf(5, 2).by(Method.AVERAGE);
    assertThat(Story.value(recost, 3)).isEqualTo(-1000);
    assertThat(recost.end().worth()).isEqualTo(2000);
  }

  @Test
  void a_target_that_is_used_up_is_made_good_from_the_oldest() {
    Recost recost = new Story().in(5, 500).in(2, 400).in(5, 1000).outOf(3, 2).by(Method.FIFO);
    assertThat(Story.value(recost, 4)).isEqualTo(-500);
  }

  @Test
  void short_stock_stands_at_a_provisional_cost_until_an_arrival_covers_it() {
    Story story = new Story().in(2, 200).out(5);
    Recost before = story.by(Method.FIFO, true);
    assertThat(Story.value(before, 2)).isEqualTo(-500);
    assertThat(before.end().onHand()).isEqualTo(-3 * Quantity.ONE);
    assertThat(before.end().worth()).isEqualTo(-300);
    Recost after = story.in(10, 1500).by(Method.FIFO, true);
    assertThat(Story.value(after, 2)).isEqualTo(-200 - 450);
    assertThat(after.end().worth()).isEqualTo(1050);
  }

  @Test
  void what_went_out_uncovered_is_cancelled_first_by_a_return() {
    Recost recost = new Story().in(2, 200).out(5).back(4, 2).in(1, 999).by(Method.FIFO, true);
    assertThat(Story.value(recost, 3)).isEqualTo(400);
    assertThat(recost.end().onHand()).isEqualTo(2 * Quantity.ONE);
    assertThat(recost.end().worth()).isEqualTo(100 + 999);
  }

  @Test
  void stock_may_not_go_under_zero_unless_allowed() {
    assertThatThrownBy(() -> new Story().in(2, 200).out(3).by(Method.FIFO))
        .isInstanceOfSatisfying(
            CannotCost.class,
            e -> {
              assertThat(e.reason()).isEqualTo(Reason.SHORT);
              assertThat(e.there()).isEqualTo(2 * Quantity.ONE);
            });
  }

  @Test
  void more_cannot_come_back_than_went() {
    assertThatThrownBy(() -> new Story().in(5, 500).out(2).back(1, 2).back(2, 2).by(Method.FIFO))
        .isInstanceOfSatisfying(
            CannotCost.class, e -> assertThat(e.reason()).isEqualTo(Reason.RETURNS_TOO_MUCH));
  }

  @Test
  void a_write_down_may_be_reversed_up_to_cost_and_no_further() {
    // IAS 2 paragraph 33: the reversal is limited to the amount of the original write-down.
    Story story = new Story().in(10, 1000).revalue(-300).out(5);
    assertThat(Story.value(story.by(Method.FIFO), 3)).isEqualTo(-350);
    assertThat(story.revalue(150).by(Method.FIFO).end().worth()).isEqualTo(500);
    assertThatThrownBy(() -> story.revalue(1).by(Method.FIFO))
        .isInstanceOfSatisfying(
            CannotCost.class, e -> assertThat(e.reason()).isEqualTo(Reason.ABOVE_COST));
  }

  @Test
  void a_write_down_cannot_take_worth_below_zero() {
    assertThatThrownBy(() -> new Story().in(10, 1000).revalue(-1001).by(Method.AVERAGE))
        .isInstanceOfSatisfying(
            CannotCost.class, e -> assertThat(e.reason()).isEqualTo(Reason.BELOW_ZERO));
  }

  @Test
  void amounts_that_overflow_are_an_error() {
    assertThatThrownBy(() -> new Story().in(1, Long.MAX_VALUE).in(1, 1).out(2).by(Method.AVERAGE))
        .isInstanceOf(ArithmeticException.class);
  }

  @Test
  void specific_goods_leave_by_name() {
    Recost recost = new Story().in(1, 900).in(1, 1100).outOf(1, 2).by(Method.SPECIFIC);
    assertThat(Story.value(recost, 3)).isEqualTo(-1100);
    assertThatThrownBy(() -> new Story().in(1, 900).out(1).by(Method.SPECIFIC))
        .isInstanceOfSatisfying(
            CannotCost.class, e -> assertThat(e.reason()).isEqualTo(Reason.NO_TARGET));
  }

  /**
   * 10 at 2.00; 4 leave; 2 are mended for 6.00 from then on: the 6 that are left are worth 18.00.
   */
  @ParameterizedTest
  @EnumSource(
      value = Method.class,
      names = {"FIFO", "AVERAGE"})
  void what_is_charged_on_goods_that_came_back_reaches_what_leaves_after_it_alone(Method method) {
    Recost recost =
        new Story().in(10, 2_000).out(4).out(2).back(2, 3).charge(600, 4).out(6).by(method);
    assertThat(Story.value(recost, 2)).isEqualTo(-800);
    assertThat(Story.value(recost, 3)).isEqualTo(-400);
    assertThat(Story.value(recost, 4)).isEqualTo(400);
    assertThat(Story.value(recost, 5)).isEqualTo(600);
    assertThat(Story.value(recost, 6)).isEqualTo(-1_800);
  }

  @Test
  void goods_that_are_not_there_bear_no_charge_and_none_goes_under_nothing() {
    assertThatThrownBy(() -> new Story().out(2).back(2, 1).charge(600, 2).by(Method.FIFO, true))
        .isInstanceOf(CannotCost.class)
        .hasFieldOrPropertyWithValue("reason", CannotCost.Reason.NOTHING_TO_REVALUE);
    assertThatThrownBy(
            () -> new Story().in(2, 400).out(2).back(2, 2).charge(-401, 3).by(Method.FIFO))
        .hasFieldOrPropertyWithValue("reason", CannotCost.Reason.BELOW_ZERO);
    assertThat(
            Story.value(
                new Story().in(2, 400).out(2).back(2, 2).charge(-400, 3).out(2).by(Method.FIFO), 5))
        .isZero();
  }
}
