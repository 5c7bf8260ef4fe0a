package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * IAS 2 Inventories where it gives a rule, paragraph by paragraph, and worked examples from
 * textbooks. Paragraphs and figures are from memory.
 */
class Ias2Test {
  @Test
  void paragraph_11_duties_and_transport_belong_to_the_cost_and_discounts_come_off() {
    Story story = new Story().in(10, 10_000).charge(1_200, 1).charge(800, 1).charge(-500, 1);
    assertThat(story.by(Method.FIFO).end().worth()).isEqualTo(11_500);
    assertThat(story.by(Method.AVERAGE).end().worth()).isEqualTo(11_500);
  }

  @Test
  void paragraph_12_conversion_adds_labour_to_the_parts() {
    Making assembly =
        new Making(
            java.util.List.of(new Making.Component(1, 1, null)),
            250,
            java.util.List.of(new Making.Result(2, 2, 1, null)));
    assertThat(assembly.values(java.util.Map.of(1L, 1_000L))).containsEntry(2L, 1_250L);
  }

  @Test
  void paragraph_23_goods_that_are_told_apart_leave_at_their_own_cost() {
    Recost recost = new Story().in(1, 500).in(1, 700).outOf(1, 1).by(Method.SPECIFIC);
    assertThat(Story.costOfOuts(recost)).isEqualTo(500);
  }

  @Test
  void paragraph_27_first_in_leaves_first_or_all_share_an_average() {
    Story story = new Story().in(2, 200).in(2, 400).out(1);
    assertThat(Story.costOfOuts(story.by(Method.FIFO))).isEqualTo(100);
    assertThat(Story.costOfOuts(story.by(Method.AVERAGE))).isEqualTo(150);
  }

  @Test
  void paragraphs_28_and_29_goods_are_written_down_to_what_they_fetch() {
    assertThat(new Story().in(4, 1_000).revalue(-400).by(Method.FIFO).end().worth()).isEqualTo(600);
  }

  @Test
  void paragraph_33_a_reversal_goes_back_to_cost_at_most() {
    Story story = new Story().in(4, 1_000).revalue(-400);
    assertThat(story.revalue(400).by(Method.FIFO).end().worth()).isEqualTo(1_000);
    assertThatThrownBy(() -> story.revalue(1).by(Method.FIFO)).isInstanceOf(CannotCost.class);
  }

  @Test
  void paragraph_34_what_was_written_down_leaves_at_the_lower_worth() {
    Recost recost = new Story().in(4, 1_000).revalue(-400).out(2).by(Method.AVERAGE);
    assertThat(Story.costOfOuts(recost)).isEqualTo(300);
  }

  /**
   * Weygandt, Kimmel and Kieso, Accounting Principles, appendix on perpetual systems, Houston
   * Electronics: 100 at 10, 200 at 11, 300 at 12; 550 sold; 400 at 13 bought. The book rounds the
   * moving average to 6,233 and 5,767.
   */
  @ParameterizedTest
  @CsvSource({"FIFO,620000,580000", "LIFO,630000,570000", "AVERAGE,623333,576667"})
  void houston_electronics_perpetual(Method method, long cost, long left) {
    Story story =
        new Story().in(100, 100_000).in(200, 220_000).in(300, 360_000).out(550).in(400, 520_000);
    Recost recost = story.by(method);
    assertThat(Story.costOfOuts(recost)).isEqualTo(cost);
    assertThat(recost.end().worth()).isEqualTo(left);
    Pool pool = new Pool(method, PoolState.EMPTY, true, Past.NONE, Trace.SILENT);
    assertThat(WhatIf.of(pool, story.fresh())).isEqualTo(new WhatIf(cost, left, 0));
  }

  /**
   * Wikipedia, "FIFO and LIFO accounting", the example of Foo Co.: 100 at 50, 125 at 55, 75 at 59;
   * 210 sold.
   */
  @ParameterizedTest
  @CsvSource({"FIFO,11050", "LIFO,11800"})
  void foo_co(Method method, long cost) {
    Recost recost =
        new Story().in(100, 500_000).in(125, 687_500).in(75, 442_500).out(210).by(method);
    assertThat(Story.costOfOuts(recost)).isEqualTo(cost * 100);
  }
}
