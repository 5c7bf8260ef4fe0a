package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.store.book.Catalogues;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.setup.PlaceStore;

/** In what condition goods are: wherever they are, they are ours and worth what they cost. */
class StandingTest {
  private FreshBook book;

  @BeforeEach
  void ten_jars() {
    book = new FreshBook();
    book.item("JAR", "FIFO");
    book.bill("2026-01-10", "JAR", "10", "2.00");
  }

  @AfterEach
  void all_holds() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private long transfer(String date, Map<String, String> head, String quantity) {
    return book.paper(PaperKind.TRANSFER, date, head, "item quantity", "JAR", quantity);
  }

  private List<String> where() {
    return book.sql()
        .sql(
            "select concat(p.name, ' ', s.quantity div 1000000) from place_stock s join place p"
                + " on p.id = s.place_id where s.quantity <> 0 order by p.name")
        .query(String.class)
        .list();
  }

  private long free() {
    var catalogue = book.get(Catalogues.class).open();
    return catalogue
        .free(catalogue.item("JAR").orElseThrow().id(), catalogue.place("Store").orElseThrow().id())
        .everywhere();
  }

  private long sell(String place) {
    return book.paper(
        PaperKind.INVOICE,
        "2026-03-01",
        Map.of("place", place),
        "item quantity price",
        "JAR",
        "1",
        "9.00");
  }

  @Test
  void broken_jars_are_damaged_where_they_are_and_not_free_and_not_sold() {
    transfer("2026-02-01", Map.of("standing", "Damaged"), "3");
    assertThat(where()).containsExactly("Store 7", "Store, damaged 3");
    assertThat(book.worth("JAR")).isEqualTo(2000);
    assertThat(free()).isEqualTo(7_000_000);
    assertThatThrownBy(() -> sell("Store, damaged"))
        .hasMessageContaining("What is there is damaged and not sold");
    transfer(
        "2026-02-02", Map.of("place", "Store, damaged", "standing", "Good", "into", "Store"), "1");
    assertThat(where()).containsExactly("Store 8", "Store, damaged 2");
  }

  @Test
  void a_standing_of_her_own_is_sold_when_chosen_and_offered_by_nothing() {
    PlaceStore places = book.get(PlaceStore.class);
    places.save(new PlaceStore.Standing(0, "Seconds", true, false, true));
    transfer("2026-02-01", Map.of("standing", "Seconds"), "4");
    assertThat(free()).isEqualTo(6_000_000);
    sell("Store, seconds");
    assertThat(where()).containsExactly("Store 6", "Store, seconds 3");
    long store = places.all().get(0).id();
    places.save(new PlaceStore.Row(store, "Barn", Place.Kind.STORE, "", true, true));
    assertThat(where()).containsExactly("Barn 6", "Barn, seconds 3");
  }

  @Test
  void goods_keep_their_standing_on_the_way_and_where_they_come_to() {
    book.get(PlaceStore.class)
        .save(new PlaceStore.Row(0, "Shop", Place.Kind.STORE, "", true, true));
    transfer("2026-02-01", Map.of("standing", "On hold"), "5");
    long sent =
        transfer(
            "2026-02-02", Map.of("place", "Store, on hold", "into", "Shop", "sent", "yes"), "4");
    assertThat(where()).containsExactly("On the way, on hold 4", "Store 5", "Store, on hold 1");
    book.paper(
        PaperKind.ARRIVAL,
        "2026-02-03",
        Map.of("transfer", book.number(sent), "into", "Shop"),
        "item quantity",
        "JAR",
        "4");
    assertThat(where()).containsExactly("Shop, on hold 4", "Store 5", "Store, on hold 1");
  }

  @Test
  void what_stays_where_and_as_it_is_goes_nowhere() {
    assertThatThrownBy(() -> transfer("2026-02-01", Map.of("into", "Store"), "1"))
        .hasMessageContaining("into which standing");
    assertThatThrownBy(() -> transfer("2026-02-01", Map.of("standing", "Rusty"), "1"))
        .hasMessageContaining("There is no standing \"Rusty\"");
    assertThatThrownBy(
            () -> transfer("2026-02-01", Map.of("standing", "Damaged", "sent", "yes"), "1"))
        .hasMessageContaining("no way to be on");
    assertThatThrownBy(() -> transfer("2026-02-01", Map.of("place", "Orrin Joinery"), "1"))
        .hasMessageContaining("Orrin Joinery is no place of goods");
  }
}
