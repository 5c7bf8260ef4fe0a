package zinctally.web.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class OnPaperTest {
  private static OnPaper asked(Map<String, String> said) {
    return OnPaper.read(name -> said.getOrDefault(name, ""));
  }

  @Test
  void a_column_is_as_wide_as_asked_and_others_find_their_own_width() {
    OnPaper paper = asked(Map.of("paper.widths", "60, , 10%, 500"));
    assertThat(List.of(paper.width(0), paper.width(1), paper.width(2), paper.width(3)))
        .containsExactly("width: 60%", "", "width: 10%", "");
    assertThat(paper.width(9)).isEmpty();
  }

  @Test
  void what_is_no_list_of_figures_asks_for_nothing() {
    assertThat(asked(Map.of("paper.widths", "60; color: red")).widths()).isEmpty();
    OnPaper odd = asked(Map.of("paper.size", "Poster", "paper.copies", "900"));
    assertThat(odd.size()).isEqualTo("A4");
    assertThat(odd.copies()).isEqualTo(20);
  }
}
