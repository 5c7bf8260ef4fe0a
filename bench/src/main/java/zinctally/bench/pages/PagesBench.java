package zinctally.bench.pages;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * {@code bench pages}: every page, list, order and filter of the small and of the big book, one
 * after the other by one signed-in person, and how much longer it takes in the big one.
 */
public final class PagesBench {
  private static final double GOAL = 100;
  private static final double RATIO = 3;
  private static final int TIMES = 3;

  private PagesBench() {}

  private record Page(String shape, double small, double big) {
    double ratio() {
      return big / Math.max(small, 5); // what takes no time at all has no ratio
    }
  }

  /** Arguments: addresses of the small and of the big book, and how many shapes at most. */
  public static void main(String[] args) {
    int most = args.length > 2 ? Integer.parseInt(args[2]) : 3_000;
    Walk small = walk(args[0], most);
    Walk big = walk(args[1], most);
    List<Page> pages = new ArrayList<>();
    for (Map.Entry<String, List<Long>> one : big.took().entrySet())
      if (small.took().containsKey(one.getKey()))
        pages.add(
            new Page(one.getKey(), median(small.took().get(one.getKey())), median(one.getValue())));
    big.refused().forEach((path, says) -> System.out.println("no page: " + path + " " + says));
    pages.sort(Comparator.comparingDouble(Page::big).reversed());
    System.out.printf("%-90s %9s %9s %7s%n", "slowest", "small", "big", "ratio");
    pages.stream()
        .filter(p -> p.big > GOAL || p.ratio() > RATIO)
        .forEach(
            p ->
                System.out.printf(
                    Locale.ROOT,
                    "%-90s %6.0f ms %6.0f ms %7.1f%n",
                    p.shape,
                    p.small,
                    p.big,
                    p.ratio()));
    double[] all = pages.stream().mapToDouble(Page::big).sorted().toArray();
    System.out.printf(
        Locale.ROOT,
        "%d pages; in the big book median %.0f ms, p95 %.0f ms, longest %.0f ms; over %.0f ms: %d; more"
            + " than %.0f times the small one's: %d%n",
        all.length,
        all[all.length / 2],
        all[(int) (all.length * 0.95)],
        all[all.length - 1],
        GOAL,
        pages.stream().filter(p -> p.big > GOAL).count(),
        RATIO,
        pages.stream().filter(p -> p.ratio() > RATIO).count());
  }

  private static Walk walk(String address, int most) {
    Visitor visitor = new Visitor(address);
    visitor.signIn("owner", "wickmere");
    Walk walk = new Walk(visitor, most);
    walk.go(TIMES);
    return walk;
  }

  private static double median(List<Long> nanos) {
    return nanos.stream().sorted().toList().get(nanos.size() / 2) / 1e6;
  }
}
