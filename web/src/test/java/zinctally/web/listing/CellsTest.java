package zinctally.web.listing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ProveListings;
import zinctally.store.listing.Totals;

class CellsTest {
  private static String says(long rows, boolean whole, String sort) {
    Listing journal = ProveListings.journal();
    return Cells.says(journal, new Totals(rows, whole, Map.of()), journal.orderedAmong(sort));
  }

  @Test
  void the_foot_says_what_is_not_in_the_order_and_how_to_come_to_it() {
    assertThat(says(900, true, "sum")).isEqualTo("In all 900");
    assertThat(says(1001, true, "sum"))
        .isEqualTo("In all 1001. This order is of the latest 1000: narrow Date for others");
    assertThat(says(1001, true, "number")).isEqualTo("In all 1001");
    assertThat(says(10_000, false, "number"))
        .isEqualTo(
            "More than 10000; filter them for what they come to."
                + " This order is of the latest 10000: narrow Date for others");
    assertThat(says(10_000, false, "date"))
        .isEqualTo("More than 10000; filter them for what they come to");
    assertThat(says(10_000, false, "")).doesNotContain("order");
  }
}
