package zinctally.web.ask;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import zinctally.core.question.Match;
import zinctally.core.question.Typed;

/** Values that a question leaves open, to be asked when it is run. */
final class OpenValues {
  private OpenValues() {}

  /**
   * One of them.
   *
   * @param name before the names of its fields
   * @param words what is asked
   * @param second whether it needs two
   */
  record Open(String name, String words, boolean second, String a, String b) {}

  /** The names of conditions that are open. */
  private static List<String> names(Map<String, String> kept) {
    return kept.keySet().stream()
        .filter(name -> name.matches("if\\.\\d+"))
        .filter(
            name ->
                Stream.of(".ask", ".a", ".b")
                    .anyMatch(part -> Typed.ASKED.equals(kept.get(name + part))))
        .toList();
  }

  /**
   * A question with what was answered; the rest stands as it was kept.
   *
   * @param answers gives what was answered under a name; null for nothing
   */
  static Map<String, String> answered(
      Map<String, String> kept, Function<String, @Nullable String> answers) {
    Map<String, String> typed = new LinkedHashMap<>(kept);
    for (String name : names(kept)) {
      // asked again as long as it stands on the page
      typed.put(name + ".ask", Typed.ASKED);
      for (String part : List.of(".a", ".b")) {
        String answer = answers.apply(name + part);
        if (answer != null) typed.put(name + part, answer);
      }
    }
    return typed;
  }

  /**
   * All that are open, with what was answered so far.
   *
   * @param heading of what was typed for a column
   */
  static List<Open> of(Map<String, String> typed, UnaryOperator<String> heading) {
    return names(typed).stream()
        .map(
            name -> {
              Match match = match(typed.getOrDefault(name + ".test", ""));
              return new Open(
                  name,
                  heading.apply(typed.getOrDefault(name, "")) + " " + match.words(),
                  match.needs() > 1,
                  said(typed.get(name + ".a")),
                  said(typed.get(name + ".b")));
            })
        .toList();
  }

  private static String said(@Nullable String value) {
    return value == null || value.equals(Typed.ASKED) ? "" : value;
  }

  private static Match match(String name) {
    return Arrays.stream(Match.values())
        .filter(m -> m.name().equals(name))
        .findFirst()
        .orElse(Match.HOLDS);
  }
}
