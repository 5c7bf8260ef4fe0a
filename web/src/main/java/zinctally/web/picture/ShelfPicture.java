package zinctally.web.picture;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.LongFunction;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import zinctally.store.goods.ShelfStore.Kind;
import zinctally.store.goods.ShelfStore.Together;

/**
 * The shelf: a board for each place, with what stands on it by standing, as wide as it is worth, or
 * as there are different items for who does not see costs. What is not ours has no worth and is as
 * narrow as it can be.
 */
public record ShelfPicture(List<Board> boards, List<Tick> ticks, int height) {
  public static final int LEFT = 190;
  public static final int WIDTH = 780;
  private static final int FIGURE = 96;
  private static final int STEP = 38;
  private static final int NARROWEST = 9;

  /** A place. */
  public record Board(String place, String figure, int y, List<Stack> stacks) {}

  /** What stands there together. */
  public record Stack(
      double x, double width, Kind kind, String label, String title, String standing) {}

  /** A value along the foot. */
  public record Tick(double x, String says) {}

  /**
   * @param figure what counts of goods that are together
   * @param unit the least step of that
   * @param say the figure in words
   */
  public static ShelfPicture of(
      List<Together> all, ToLongFunction<Together> figure, long unit, LongFunction<String> say) {
    Map<String, List<Together>> places =
        all.stream()
            .collect(
                Collectors.groupingBy(Together::place, LinkedHashMap::new, Collectors.toList()));
    long most =
        places.values().stream()
            .mapToLong(p -> p.stream().mapToLong(t -> Math.max(0, figure.applyAsLong(t))).sum())
            .max()
            .orElse(0);
    Scale scale = Scale.of(most, unit, 4);
    double along = WIDTH - LEFT - FIGURE;
    List<Board> boards = new ArrayList<>();
    int y = 0;
    for (Map.Entry<String, List<Together>> place : places.entrySet()) {
      List<Stack> stacks = new ArrayList<>();
      double x = LEFT;
      long sum = 0;
      for (Together some : place.getValue()) {
        long value = Math.max(0, figure.applyAsLong(some));
        double width = Math.max(NARROWEST, scale.at(value, along));
        sum += value;
        stacks.add(
            new Stack(
                x,
                width - 1.5,
                some.kind(),
                width > 8.0 * some.standing().length() ? some.standing() : "",
                place.getKey()
                    + ", "
                    + (some.kind() == Kind.OTHERS ? "of " + some.standing() : some.standing())
                    + ": "
                    + some.items()
                    + (some.items() == 1 ? " item" : " items")
                    + (some.kind() == Kind.OTHERS ? "" : ", " + say.apply(value)),
                some.standing()));
        x += width;
      }
      boards.add(new Board(place.getKey(), say.apply(sum), y, stacks));
      y += STEP;
    }
    List<Tick> ticks =
        scale.ticks().stream().map(t -> new Tick(LEFT + scale.at(t, along), say.apply(t))).toList();
    return new ShelfPicture(boards, ticks, y);
  }
}
