package zinctally.core.question;

import java.util.List;

/**
 * A question as somebody has built it. Columns are named by their keys in the subject, those that
 * are worked out by {@code calc.1}, {@code calc.2} and so on.
 *
 * @param about the subject's key
 * @param any whether one condition is enough; else all must hold
 * @param by what rows are put together by, from the outside in
 * @param summary whether only what they come to is shown
 * @param across what stands side by side; empty for nothing
 * @param top so many rows at most; zero for all
 */
public record Question(
    String about,
    List<Seen> see,
    List<Worked> worked,
    List<Condition> conditions,
    boolean any,
    List<String> by,
    boolean summary,
    String across,
    List<Order> order,
    int top,
    Chart chart) {
  /** A column may be made of this many others, which may be made of others in turn. */
  public static final int MOST = 24;

  public Question {
    see = List.copyOf(see);
    worked = List.copyOf(worked);
    conditions = List.copyOf(conditions);
    by = List.copyOf(by);
    order = List.copyOf(order);
  }

  /**
   * A column that is shown.
   *
   * @param heading over it; empty for its own
   */
  public record Seen(String column, How how, String heading) {}

  /**
   * A column that is worked out.
   *
   * @param key {@code calc.} and its number
   * @param b empty where it needs but one
   */
  public record Worked(String key, Reckoning reckoning, String a, String b, String heading) {}

  /**
   * What is asked of a column.
   *
   * @param asked whether its values are asked for when the question is run
   * @param values as they were typed
   */
  public record Condition(String column, Match test, boolean asked, List<String> values) {
    public Condition {
      values = List.copyOf(values);
    }
  }

  /** A column that rows are sorted by. */
  public record Order(String column, boolean down) {}
}
