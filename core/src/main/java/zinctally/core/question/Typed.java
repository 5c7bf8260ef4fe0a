package zinctally.core.question;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A question as it stands in an address or is kept: names and what was typed, {@code see.1=item},
 * {@code if.1=quantity}, {@code if.1.test=MORE}, {@code if.1.a=20}. A value of {@code ?} is asked
 * when it is run.
 */
public final class Typed {
  /** Stands for a value that is asked for when a question is run. */
  public static final String ASKED = "?";

  private static final Pattern NUMBERED =
      Pattern.compile("(see|calc|if|order)\\.(\\d{1,2})(\\.\\w+)?");
  private static final int LONGEST = 300;
  private final Map<String, String> typed;
  private final UnaryOperator<String> keys;

  /**
   * @param typed names and values
   * @param keys gives the key of a column for what was typed for it; itself for what is none
   */
  public Typed(Map<String, String> typed, UnaryOperator<String> keys) {
    this.typed = new LinkedHashMap<>();
    typed.forEach(
        (name, value) -> {
          String stripped = value.strip();
          if (ours(name) && !stripped.isEmpty())
            this.typed.put(
                name, stripped.length() > LONGEST ? stripped.substring(0, LONGEST) : stripped);
        });
    this.keys = keys;
  }

  private static boolean ours(String name) {
    return NUMBERED.matcher(name).matches()
        || List.of("about", "any", "by.1", "by.2", "by.3", "summary", "across", "top", "chart")
            .contains(name)
        || name.startsWith("paper.");
  }

  /** What was typed, of a question alone; goes into an address or is kept. */
  public Map<String, String> kept() {
    return new LinkedHashMap<>(typed);
  }

  public Question question() {
    List<Question.Seen> see = new ArrayList<>();
    List<Question.Worked> worked = new ArrayList<>();
    List<Question.Condition> conditions = new ArrayList<>();
    List<Question.Order> order = new ArrayList<>();
    for (int n : numbers("see"))
      see.add(
          new Question.Seen(
              key("see." + n),
              one(How.values(), "see." + n + ".how", How.SUM),
              text("see." + n + ".as")));
    for (int n : numbers("calc"))
      worked.add(
          new Question.Worked(
              "calc." + n,
              one(Reckoning.values(), "calc." + n, Reckoning.SUM),
              key("calc." + n + ".a"),
              key("calc." + n + ".b"),
              text("calc." + n + ".as")));
    for (int n : numbers("if")) conditions.add(condition("if." + n));
    for (int n : numbers("order"))
      order.add(new Question.Order(key("order." + n), text("order." + n + ".down").equals("on")));
    List<String> by = new ArrayList<>();
    for (String name : List.of("by.1", "by.2", "by.3"))
      if (!text(name).isEmpty() && !by.contains(key(name))) by.add(key(name));
    return new Question(
        text("about"),
        see,
        worked,
        conditions,
        text("any").equals("on"),
        by,
        text("summary").equals("on"),
        key("across"),
        order,
        text("top").matches("\\d{1,6}") ? Integer.parseInt(text("top")) : 0,
        one(Chart.values(), "chart", Chart.NONE));
  }

  private Question.Condition condition(String name) {
    Match test = one(Match.values(), name + ".test", Match.HOLDS);
    List<String> values = new ArrayList<>();
    for (String value : List.of(".a", ".b"))
      if (values.size() < test.needs()) values.add(text(name + value));
    boolean asked = ASKED.equals(text(name + ".ask")) || values.contains(ASKED);
    values.replaceAll(v -> v.equals(ASKED) ? "" : v);
    return new Question.Condition(key(name), test, asked, values);
  }

  /** Numbers that something was typed for, in their order. */
  private List<Integer> numbers(String what) {
    TreeMap<Integer, Boolean> numbers = new TreeMap<>();
    for (String name : typed.keySet()) {
      Matcher matcher = NUMBERED.matcher(name);
      if (matcher.matches() && matcher.group(1).equals(what) && matcher.group(3) == null)
        numbers.put(Integer.parseInt(matcher.group(2)), true);
    }
    return numbers.keySet().stream().limit(Question.MOST).toList();
  }

  private String key(String name) {
    String value = text(name);
    return value.isEmpty() ? "" : keys.apply(value);
  }

  private String text(String name) {
    return Optional.ofNullable(typed.get(name)).orElse("");
  }

  private <E extends Enum<E>> E one(E[] all, String name, E otherwise) {
    String asked = text(name).toUpperCase(Locale.ROOT);
    for (E e : all) if (e.name().equals(asked)) return e;
    return otherwise;
  }
}
