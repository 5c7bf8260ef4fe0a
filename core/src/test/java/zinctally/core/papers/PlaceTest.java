package zinctally.core.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.DAMAGED;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.SECONDS;

import java.util.Arrays;
import org.junit.jupiter.api.Test;

class PlaceTest {
  @Test
  void papers_alone_take_goods_to_a_repairer_and_on_the_way() {
    assertThat(Arrays.stream(Place.Kind.values()).filter(k -> !k.isChosen()))
        .containsExactly(Place.Kind.REPAIRER, Place.Kind.WAY);
    assertThat(Place.Kind.VAN.words()).isEqualTo("Van or stall");
  }

  @Test
  void what_is_ours_and_may_be_sold_and_is_not_away_is_for_sale() {
    assertThat(BARN.sells()).isTrue();
    assertThat(BARN.fresh(SECONDS, null).sells()).isTrue();
    assertThat(BARN.fresh(DAMAGED, null).sells()).isFalse();
    assertThat(BARN.fresh(Standing.GOOD, ORRIN).sells()).isFalse();
    assertThat(Place.fresh(ORRIN).sells()).isFalse();
    assertThat(Place.freshAt(FENWICK).sells()).isTrue();
  }

  @Test
  void a_place_for_others_or_for_goods_of_another_standing_says_so_in_its_name() {
    assertThat(BARN.fresh(DAMAGED, ORRIN).name())
        .isEqualTo("Barn store, damaged, of Orrin Joinery");
    assertThat(BARN.fresh(Standing.GOOD, ORRIN).name()).isEqualTo("Barn store, of Orrin Joinery");
    assertThat(Place.fresh(null).name()).isEqualTo("Repair bench");
    assertThat(BARN.fresh(DAMAGED, null).isPlain()).isFalse();
    assertThat(BARN.fresh(Standing.GOOD, ORRIN).isPlain()).isFalse();
  }
}
