package zinctally.core.question;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TypedTest {
  private static Typed typed(String... namesAndValues) {
    Map<String, String> all = new LinkedHashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2)
      all.put(namesAndValues[i], namesAndValues[i + 1]);
    return new Typed(all, column -> column.equals("Sales") ? "net" : column);
  }

  @Test
  void rows_come_in_the_order_of_their_numbers_and_columns_by_their_keys() {
    Question question =
        typed(
                "see.10",
                "item",
                "see.2",
                " Sales ",
                "see.2.how",
                "average",
                "see.2.as",
                "Mean",
                "see.3",
                " ",
                "about",
                "sales")
            .question();
    assertThat(question.about()).isEqualTo("sales");
    assertThat(question.see())
        .containsExactly(
            new Question.Seen("net", How.AVERAGE, "Mean"), new Question.Seen("item", How.SUM, ""));
  }

  @Test
  void a_condition_has_as_many_values_as_its_test_needs() {
    Question question =
        typed(
                "if.1",
                "net",
                "if.1.test",
                "BETWEEN",
                "if.1.a",
                "1",
                "if.1.b",
                "2",
                "if.2",
                "item",
                "if.2.test",
                "EMPTY",
                "if.2.a",
                "left over",
                "if.3",
                "net",
                "if.3.test",
                "no test",
                "if.3.a",
                "?")
            .question();
    assertThat(question.conditions())
        .containsExactly(
            new Question.Condition("net", Match.BETWEEN, false, List.of("1", "2")),
            new Question.Condition("item", Match.EMPTY, false, List.of()),
            new Question.Condition("net", Match.HOLDS, true, List.of("")));
  }

  @Test
  void what_is_answered_is_still_asked() {
    assertThat(typed("if.1", "net", "if.1.ask", "?", "if.1.a", "5").question().conditions())
        .containsExactly(new Question.Condition("net", Match.HOLDS, true, List.of("5")));
  }

  @Test
  void groups_are_told_once_and_what_is_no_number_or_choice_is_as_usual() {
    Question question =
        typed(
                "by.1",
                "item",
                "by.2",
                "item",
                "by.3",
                "net",
                "top",
                "many",
                "chart",
                "cake",
                "order.1",
                "Sales",
                "order.1.down",
                "on",
                "any",
                "on",
                "summary",
                "on")
            .question();
    assertThat(question.by()).containsExactly("item", "net");
    assertThat(question.top()).isZero();
    assertThat(question.chart()).isEqualTo(Chart.NONE);
    assertThat(question.order()).containsExactly(new Question.Order("net", true));
    assertThat(question.any()).isTrue();
    assertThat(question.summary()).isTrue();
  }

  @Test
  void what_is_worked_out_is_named_by_its_number() {
    Question question =
        typed("calc.2", "ratio", "calc.2.a", "Sales", "calc.2.b", "item", "calc.2.as", "Each")
            .question();
    assertThat(question.worked())
        .containsExactly(new Question.Worked("calc.2", Reckoning.RATIO, "net", "item", "Each"));
  }

  @Test
  void what_belongs_to_no_question_is_not_kept_and_what_is_too_long_is_cut() {
    Map<String, String> kept =
        typed("see.1", "x".repeat(400), "_csrf", "secret", "save.name", "mine", "paper.title", "T")
            .kept();
    assertThat(kept.keySet()).containsExactly("see.1", "paper.title");
    assertThat(kept.get("see.1")).hasSize(300);
  }
}
