package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.store.posting.Proving;

/** Items that are made from the line they are first bought or sold on. */
class MadeOnTheSpotTest extends OneBookTest {
  /** Answers what is asked about a paper with yes and posts it. */
  private static long agreed(PaperKind kind, Map<String, String> fields, String... cells) {
    Draft draft = new Draft(kind, fields, FreshBook.rows(cells));
    List<Fault> asked = book.get(Proving.class).prove(draft, 0, "tester").faults();
    assertThat(asked).isNotEmpty().noneMatch(f -> f.question().isEmpty());
    Map<String, String> answered = new java.util.HashMap<>(fields);
    answered.put(Draft.AGREED, String.join(" ", asked.stream().map(Fault::question).toList()));
    return book.post(kind, answered, FreshBook.rows(cells));
  }

  private static final Map<String, String> BILL =
      Map.of("date", "2026-02-01", "supplier", "Orrin Joinery", "place", "Store");
  private static final Map<String, String> INVOICE =
      Map.of("date", "2026-02-02", "customer", "Fenwick Garden", "place", "Store");

  private static Map<String, Object> item(String name) {
    return book.sql()
        .sql("select code, kind, to_complete from item where name = ?")
        .param(name)
        .query()
        .singleRow();
  }

  @Test
  void it_is_asked_about_first_and_nothing_is_made_until_the_answer() {
    assertThatThrownBy(
            () -> book.post(PaperKind.BILL, BILL, FreshBook.rows("Queen cage", "5", "1.20")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("\"Queen cage\" is no item yet");
    assertThat(
            book.sql()
                .sql("select count(*) from item where name = 'Queen cage'")
                .query(Long.class)
                .single())
        .isZero();
  }

  @Test
  void what_is_bought_is_stocked_at_its_cost_and_waits_to_be_completed() {
    agreed(PaperKind.BILL, BILL, "Wax press", "2", "40.00", "wax press", "1", "46.00");
    assertThat(item("Wax press"))
        .containsEntry("kind", "STOCKED")
        .containsEntry("to_complete", true);
    String code = item("Wax press").get("code").toString();
    assertThat(code).startsWith("NEW-");
    assertThat(book.worth(code)).isEqualTo(12600);
    assertThat(book.booked("STOCK", code, "2026-06-30")).isEqualTo(12600);
  }

  @Test
  void what_is_sold_earns_but_takes_nothing_out_of_stock_until_that_is_chosen() {
    agreed(PaperKind.INVOICE, INVOICE, "Hive inspection", "1", "60.00");
    assertThat(item("Hive inspection"))
        .containsEntry("kind", "NOT_STOCKED")
        .containsEntry("to_complete", true);
    String code = item("Hive inspection").get("code").toString();
    assertThat(book.booked("SALES", code, "2026-06-30")).isEqualTo(-6000);
    assertThat(book.booked("STOCK", code, "2026-06-30")).isZero();
  }
}
