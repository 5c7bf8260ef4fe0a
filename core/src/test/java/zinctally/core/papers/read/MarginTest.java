package zinctally.core.papers.read;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class MarginTest {
  private static final String UNDER = ", under its present cost";

  @Test
  void who_is_not_to_know_what_goods_cost_is_told_the_same_without_it() {
    assertThat(Margin.withoutCost("The jar is sold at 4.00" + UNDER + " of 7.00."))
        .isEqualTo("The jar is sold at 4.00" + UNDER + ".");
    assertThat(Margin.withoutCost("2 of Orrin's go first" + Margin.OWED + "20.00."))
        .isEqualTo("2 of Orrin's go first.");
    assertThat(Margin.withoutCost("The jar is short.")).isEqualTo("The jar is short.");
    assertThat(Margin.withoutCost(UNDER + " of 7.00.")).isEqualTo(UNDER + ".");
    assertThat(Margin.withoutCost(Margin.OWED + "20.00.")).isEqualTo(".");
  }
}
