package zinctally.web.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static zinctally.web.paper.form.PaperForm.figure;
import static zinctally.web.paper.form.PaperForm.shown;
import static zinctally.web.paper.form.PaperForm.text;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.opening.Sheet;
import zinctally.web.paper.form.PaperForm;

/** Lines of a paper that stand in a file. */
class RowsFileTest {
  private static final PaperForm FORM =
      new PaperForm(
          PaperKind.TRANSFER,
          List.of(),
          List.of(
              text("item", "Component, or account"),
              figure("quantity", "Goes in"),
              text("memo", "Note"),
              shown("free", "Here now")));

  private static RowsFile read(List<String> headings, List<List<String>> rows) {
    return RowsFile.of(new Sheet(headings, rows), FORM);
  }

  @Test
  void columns_are_found_by_the_papers_words_their_names_and_what_people_often_say() {
    RowsFile read =
        read(
            List.of("Serial numbers", "GOES IN", "Item code", "", "Here now", "Colour"),
            List.of(List.of("E-1", " 2 ", "EX", "x", "9", "red"), List.of("", "", "", "", "", "")));
    assertThat(read.rows())
        .containsExactly(Map.of("numbers", "E-1", "quantity", "2", "item", "EX"));
    assertThat(read.leftOut()).containsExactly("Here now", "Colour");
  }

  @Test
  void a_row_that_is_shorter_than_the_headings_and_a_column_that_stands_twice_do_no_harm() {
    assertThat(
            read(List.of("code", "qty", "Item"), List.of(List.of("EX"), List.of("EX", "2", "JAR")))
                .rows())
        .containsExactly(Map.of("item", "EX"), Map.of("item", "EX", "quantity", "2"));
  }

  @Test
  void a_file_without_the_item_without_lines_or_with_too_many_is_refused_in_a_sentence() {
    assertThatThrownBy(() -> read(List.of("Colour"), List.of(List.of("red"))))
        .hasMessageContaining("Component, or account, Goes in, Note; none of them is");
    assertThatThrownBy(() -> read(List.of("item"), List.of(List.of(" "))))
        .hasMessage("There is no line in the file.");
    List<List<String>> many = Collections.nCopies(RowsFile.MOST + 1, List.of("EX"));
    assertThatThrownBy(() -> read(List.of("item"), many)).hasMessageContaining("at most 5000");
  }
}
