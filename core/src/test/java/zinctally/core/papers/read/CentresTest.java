package zinctally.core.papers.read;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.VAN;

import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.ledger.Centre;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.SmallBook;
import zinctally.core.papers.SmallBook.Written;

class CentresTest {
  private static final Centre SHOP = new Centre(1, "Shop");
  private static final Centre YARD = new Centre(2, "Yard");
  private static final Centre ROAD = new Centre(3, "Road");
  private final SmallBook book = new SmallBook();

  private static Written sale() {
    return Written.of(PaperKind.INVOICE)
        .line("item", "HIVE", "quantity", "1", "price", "5")
        .line("item", "FRAME", "quantity", "1", "price", "5");
  }

  @Test
  void a_book_without_centres_reads_none() {
    assertThat(book.read(sale().with(Draft.CENTRE, "Shop")).faults()).isEmpty();
    assertThat(book.read(sale().with(Draft.CENTRE, "Shop")).centres()).isEmpty();
  }

  @Test
  void a_row_is_borne_by_its_own_cell_then_by_the_head_then_by_its_item_then_by_its_place() {
    book.centres.addAll(java.util.List.of(SHOP, YARD, ROAD));
    assertThat(book.read(sale()).centres()).isEmpty();
    book.centreOfPlace.put(BARN.id(), YARD);
    book.centreOfPlace.put(VAN.id(), ROAD);
    assertThat(book.read(sale()).centres()).isEqualTo(Map.of(0, YARD, 1, YARD));
    book.centreOfItem.put(HIVE.id(), ROAD);
    assertThat(book.read(sale()).centres()).isEqualTo(Map.of(0, ROAD, 1, YARD));
    assertThat(book.read(sale().with(Draft.CENTRE, "shop")).centres())
        .isEqualTo(Map.of(0, SHOP, 1, SHOP));
    Written own = sale().line("item", "FRAME", "quantity", "1", "price", "5", Draft.CENTRE, "Road");
    assertThat(book.read(own.with(Draft.CENTRE, "Shop")).centres())
        .isEqualTo(Map.of(0, SHOP, 1, SHOP, 2, ROAD));
    assertThat(book.read(own).rows().get(2).beside()).containsEntry(Draft.CENTRE, "Road");
  }

  @Test
  void a_place_in_the_row_comes_before_that_of_the_head() {
    book.centres.addAll(java.util.List.of(SHOP, YARD, ROAD));
    book.centreOfPlace.put(BARN.id(), YARD);
    book.centreOfPlace.put(VAN.id(), ROAD);
    Written here = Written.of(PaperKind.INVOICE);
    here.line("item", "FRAME", "quantity", "1", "price", "5", "place", "Market van");
    assertThat(book.read(here).centres()).isEqualTo(Map.of(0, ROAD));
    assertThat(book.read(here.with(Draft.CENTRE, "").with("place", "")).centres())
        .isEqualTo(Map.of(0, ROAD));
  }

  @Test
  void a_centre_that_is_none_is_refused_in_its_cell() {
    book.centres.add(SHOP);
    assertThat(book.faults(sale().with(Draft.CENTRE, "Shed")))
        .containsExactly(
            Draft.CENTRE + ": There is no cost centre \"Shed\"; Set up, Cost centres lists them.");
    Written row = Written.of(PaperKind.INVOICE);
    row.line("item", "FRAME", "quantity", "1", "price", "5", Draft.CENTRE, "Barn");
    assertThat(book.faults(row))
        .singleElement()
        .asString()
        .startsWith("rows.0." + Draft.CENTRE + ": There is no cost centre \"Barn\"");
  }
}
