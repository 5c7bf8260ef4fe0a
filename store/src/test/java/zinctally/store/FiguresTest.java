package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;

/** What is typed is what is meant: figures keep the form in which they were written. */
class FiguresTest extends OneBookTest {
  private static Proof opened(String csv) throws Exception {
    Draft draft =
        SheetReader.file("old.csv", csv.getBytes(StandardCharsets.UTF_8)).asOpeningStock("Store");
    return book.get(Proving.class).prove(draft, 0, "tester");
  }

  @Test
  void a_file_with_decimal_commas_is_read_with_decimal_commas() throws Exception {
    Proof proof = opened("code;name;quantity;unit cost;value\nCOMMA-1;Comb;3;0,333;1,00\n");
    assertThat(proof.faults()).isEmpty();
    assertThat(proof.reading().rows().get(0).amount()).isEqualTo(100);
  }

  @Test
  void a_file_whose_figures_could_be_two_numbers_asks() throws Exception {
    Proof proof = opened("code;name;quantity;value\nTWO-1;Comb;1.000;2.000\n");
    assertThat(proof.sound()).isFalse();
    assertThat(proof.reading().notes())
        .extracting(Fault::says)
        .anyMatch(n -> n.startsWith("1.000 may be 1000 or a fraction; it is read as 1"));
  }

  @Test
  void what_one_typed_with_commas_another_posts_as_it_was_meant() {
    book.item("FORM", "FIFO");
    Draft typed =
        new Draft(
            PaperKind.BILL,
            Map.of("date", "3.2.2026", "supplier", "Orrin Joinery", "place", "Store"),
            FreshBook.rows("FORM", "12,5", "1,25"));
    DraftStore drafts = book.get(DraftStore.class);
    long id = Figures.in(Form.COMMA, () -> drafts.begin(typed, "tester"));
    book.get(Posting.class).post(id, "tester");
    assertThat(book.worth("FORM")).isEqualTo(1563);
  }

  @Test
  void a_comma_that_may_be_a_decimal_comma_is_asked_about_in_a_book_of_points() {
    book.item("ASKED", "FIFO");
    assertThatThrownBy(() -> book.bill("2026-02-01", "ASKED", "1,250", "1,250"))
        .isInstanceOfSatisfying(
            Refused.class,
            r ->
                assertThat(r.faults())
                    .hasSize(2)
                    .allMatch(f -> !f.question().isEmpty())
                    .allMatch(f -> f.says().contains("is taken as thousands, 1250")));
    assertThatThrownBy(() -> book.bill("2026-02-01", "ASKED", "0,333", "1"))
        .hasMessageContaining("is not a quantity of this item");
    assertThat(List.of("1,250.00", "1250", "1.250"))
        .allSatisfy(price -> book.bill("2026-02-01", "ASKED", "1", price));
  }

  @Test
  void an_opening_keeps_prices_of_known_items_and_drops_nothing_without_a_word() throws Exception {
    book.item("OLD-1", "FIFO");
    String csv = "code;quantity;value;price\nOLD-1;3;6.50;9.25\n";
    Draft sheet =
        SheetReader.file("old.csv", csv.getBytes(StandardCharsets.UTF_8)).asOpeningStock("Store");
    book.get(Posting.class).post(book.get(DraftStore.class).begin(sheet, "tester"), "tester");
    assertThat(
            book.sql()
                .sql(
                    "select p.price from item_price p join item i on i.id = p.item_id"
                        + " where i.code = 'OLD-1'")
                .query(java.math.BigDecimal.class)
                .single())
        .isEqualByComparingTo("9.25");
    assertThat(opened(csv).reading().notes())
        .extracting(Fault::says)
        .anyMatch(n -> n.startsWith("3 of Item OLD-1 are there on the first day already"));
    assertThat(opened("code;quantity;value;lots\nOLD-1;3;6.50;M-1: 3\n").faults())
        .extracting(Fault::says)
        .anyMatch(f -> f.contains("is not told apart by lots or serial numbers"));
  }
}
