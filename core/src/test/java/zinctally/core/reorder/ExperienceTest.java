package zinctally.core.reorder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ExperienceTest {
  /** Values whose mean and sample standard deviation are as given. */
  private static List<Double> values(double mean, double spread) {
    double half = spread / Math.sqrt(2);
    return List.of(mean - half, mean + half);
  }

  /**
   * Chopra and Meindl, Supply Chain Management (from memory): weekly demand 2,500 with a deviation
   * of 500 over two weeks; a safety of 1,000 gives a service of 92 %.
   */
  @Test
  void safety_for_a_certain_lead_time_is_the_textbooks() {
    Experience phones = new Experience(values(2500, 500), List.of(14));
    assertThat(phones.safety(0.9214)).isCloseTo(1000, within(2.0));
    assertThat(phones.untilItComes()).isCloseTo(5000, within(1e-6));
  }

  /** The same book: daily demand 2,500, deviation 500, lead 7 with deviation 7, 90 %: 22,491. */
  @Test
  void safety_for_an_uncertain_lead_time_is_the_textbooks() {
    // the book reckons in days: weeks here are its days, and seven days one of them
    double half = 49 / Math.sqrt(2);
    List<Integer> leads =
        new ArrayList<>(List.of((int) Math.round(49 - half), (int) Math.round(49 + half)));
    Experience tablets = new Experience(values(2500, 500), leads);
    assertThat(tablets.safety(0.90)).isCloseTo(22_491, within(250.0));
  }

  @Test
  void what_is_suggested_is_whole_and_says_why() {
    Experience steady = new Experience(List.of(5.0, 5.0, 5.0, 5.0, 5.0), List.of(7, 7));
    Experience.Advice advice = steady.advice(12);
    assertThat(advice.point()).isEqualTo(5);
    assertThat(advice.quantity()).isEqualTo(24);
    assertThat(advice.reason())
        .isEqualTo(
            "Sold 5 a week in 5 weeks, give or take 0; 2 deliveries took 7 days. 5 until it comes and 0 for safety.");
  }

  @Test
  void of_too_few_sales_nothing_is_said_and_an_unknown_lead_is_said_so() {
    assertThat(new Experience(List.of(0.0, 0.0, 1.0, 0.0, 2.0, 1.0), List.of()).enough()).isFalse();
    Experience new_ = new Experience(List.of(1.0, 2.0, 1.0, 2.0), List.of());
    assertThat(new_.enough()).isTrue();
    assertThat(new_.advice(1).reason()).contains("two weeks are reckoned with");
    assertThat(new_.lead()).isEqualTo(14);
  }
}
