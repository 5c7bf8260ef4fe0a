package zinctally.web.listing;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import zinctally.core.number.Coin;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;
import zinctally.store.listing.Narrow;

class NarrowingTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  private static final List<Column> COLUMNS =
      List.of(
          new Column("party", "Supplier", "w.name", Type.TEXT),
          new Column("date", "Date", "p.date", Type.DATE),
          new Column("at", "When", "a.at", Type.TIME),
          new Column("total", "Total", "p.total", Type.MONEY),
          new Column("quantity", "Quantity", "l.quantity", Type.QUANTITY),
          new Column("margin", "Margin", "m", Type.PERCENT),
          new Column("price", "Price", "p.price", Type.PRICE),
          new Column("id", "", "p.id", Type.HIDDEN));
  private static final Listing LIST =
      new Listing("Papers", "paper p where true", Map.of(), COLUMNS, "p.id", "-date", "None.");

  private static Narrowing of(String... namesAndValues) {
    MockHttpServletRequest request = new MockHttpServletRequest();
    for (int i = 0; i < namesAndValues.length; i += 2)
      request.setParameter(namesAndValues[i], namesAndValues[i + 1]);
    return Narrowing.read(LIST, request, Coin.of("EUR"), TODAY);
  }

  private static String wrong(Narrowing narrowing, int column, int box) {
    return narrowing.boxes(COLUMNS.get(column)).get(box).wrong();
  }

  @Test
  void nothing_typed_narrows_nothing_and_every_shown_column_has_its_boxes() {
    Narrowing none = of();
    assertThat(none.asked()).isEmpty();
    assertThat(none.any()).isFalse();
    assertThat(none.words()).isEmpty();
    assertThat(none.boxes(COLUMNS.get(0))).hasSize(1);
    for (int c = 1; c < 7; c++) assertThat(none.boxes(COLUMNS.get(c))).hasSize(2);
    assertThat(none.boxes(COLUMNS.get(7))).isEmpty();
  }

  @Test
  void words_all_occur_and_a_comma_stands_for_either() {
    assertThat(of("in.party", " Pell  Wax, calder ,").asked())
        .containsExactly(
            new Narrow.Words("party", List.of(List.of("pell", "wax"), List.of("calder"))));
    assertThat(of("in.party", " , ").asked()).isEmpty();
  }

  @Test
  void days_months_and_years_reach_from_their_first_day_to_their_last() {
    assertThat(of("in.date.from", "2026-02", "in.date.to", "2026-02").asked())
        .containsExactly(
            new Narrow.Between("date", LocalDate.of(2026, 2, 1), LocalDate.of(2026, 2, 28)));
    assertThat(of("in.date.from", "2025", "in.date.to", "2025").asked())
        .containsExactly(
            new Narrow.Between("date", LocalDate.of(2025, 1, 1), LocalDate.of(2025, 12, 31)));
    assertThat(of("in.at.to", "25.11.2026").asked())
        .containsExactly(new Narrow.Between("at", null, TODAY));
    assertThat(of("in.date.from", "today").asked())
        .containsExactly(new Narrow.Between("date", TODAY, null));
  }

  @Test
  void figures_are_read_as_they_are_kept() {
    assertThat(of("in.total.from", "1,095.50").asked())
        .containsExactly(new Narrow.Between("total", 109550L, null));
    assertThat(of("in.quantity.to", "2.5").asked())
        .containsExactly(new Narrow.Between("quantity", null, 2_500_000L));
    assertThat(of("in.margin.from", "44.1%").asked())
        .containsExactly(new Narrow.Between("margin", new BigDecimal("44.1"), null));
    assertThat(of("in.price.from", "0.912").asked())
        .containsExactly(new Narrow.Between("price", new BigDecimal("0.912"), null));
  }

  @Test
  void what_cannot_be_read_is_said_at_its_box_and_in_files_and_narrows_nothing() {
    Narrowing wrong = of("in.total.from", "plenty", "in.date.to", "soonish");
    assertThat(wrong.asked()).isEmpty();
    assertThat(wrong.any()).isTrue();
    assertThat(wrong(wrong, 3, 0)).isEqualTo("\"plenty\" is not a figure, like 12.50.");
    assertThat(wrong(wrong, 3, 1)).isEmpty();
    assertThat(wrong(wrong, 1, 1)).isEqualTo("\"soonish\" is not a date or a month, like 2026-03.");
    assertThat(wrong.words())
        .contains("Total is not narrowed: \"plenty\" is not a figure, like 12.50.");
    assertThat(wrong(of("in.total.from", "1.005"), 3, 0)).isNotEmpty();
    assertThat(wrong(of("in.total.from", "1" + "0".repeat(40)), 3, 0)).isNotEmpty();
    assertThat(wrong(of("in.date.from", "2026-13"), 1, 0)).isNotEmpty();
  }

  @Test
  void a_file_says_in_words_what_was_let_through() {
    assertThat(of("in.party", "pell", "in.date.from", "2026-03", "in.total.to", "5").words())
        .containsExactly("Supplier: pell", "Date: from 2026-03", "Total: to 5");
  }
}
