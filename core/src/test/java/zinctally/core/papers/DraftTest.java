package zinctally.core.papers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.number.Form;

class DraftTest {
  private static final Map<String, String> EMPTY = Map.of("item", " ");
  private static final Map<String, String> TYPED = Map.of("item", " HIVE ");

  private static Draft draft(Map<String, String> fields, List<Map<String, String>> rows) {
    return new Draft(PaperKind.BILL, fields, rows);
  }

  @Test
  void empty_rows_at_the_end_are_not_typed_and_those_between_are() {
    assertThat(draft(Map.of(), List.of(EMPTY, TYPED, EMPTY, EMPTY)).typedRows())
        .containsExactly(EMPTY, TYPED);
    assertThat(draft(Map.of(), List.of(EMPTY, EMPTY)).typedRows()).isEmpty();
    assertThat(draft(Map.of(), List.of(TYPED)).typedRows()).containsExactly(TYPED);
  }

  @Test
  void cells_are_read_without_blanks_around_and_nothing_is_there_where_nothing_was_typed() {
    Draft draft = draft(Map.of("supplier", " Orrin "), List.of(TYPED));
    assertThat(draft.cell(0, "item")).isEqualTo("HIVE");
    assertThat(draft.cell(0, "price")).isEmpty();
    assertThat(draft.party()).isEqualTo("Orrin");
    assertThat(new Draft(PaperKind.JOURNAL, Map.of("supplier", "Orrin"), List.of()).party())
        .isEmpty();
  }

  @Test
  void a_draft_keeps_the_form_in_which_it_was_written() {
    Draft plain = draft(Map.of(), List.of());
    assertThat(plain.form()).isEqualTo(Form.POINT);
    Draft comma = plain.inForm(Form.COMMA);
    assertThat(comma.form()).isEqualTo(Form.COMMA);
    assertThat(comma.inForm(Form.SPACE).form()).isEqualTo(Form.COMMA);
    assertThat(comma.without(Set.of(Draft.FIGURES))).isEqualTo(plain);
  }

  @ParameterizedTest
  @CsvSource({
    "rows.3.unit_price, 3, 'Line 4, unit price'",
    "rows.0.item, 0, 'Line 1, item'",
    "due_date, -1, due date",
    "'', -1, ''"
  })
  void a_fault_says_where_it_is(String cell, int row, String where) {
    Fault fault = new Fault(cell, "Wrong.");
    assertThat(fault.row()).isEqualTo(row);
    assertThat(fault.where()).isEqualTo(where);
  }

  @Test
  void an_answer_holds_for_the_same_question_alone() {
    Fault fault = new Fault("amount", "Is 10.00 right?");
    assertThat(fault.question()).isEmpty();
    assertThat(fault.asked().question()).isNotEmpty().isEqualTo(fault.asked().question());
    assertThat(new Fault("amount", "Is 11.00 right?").asked().question())
        .isNotEqualTo(fault.asked().question());
  }
}
