package zinctally.bench.pages;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;

/**
 * {@code bench pages}: every page, list, order and filter of the small and of the big book, one
 * after the other by one signed-in person, and how much longer it takes in the big one; then those
 * of the big one by twenty people at once. With one address, each page once.
 */
public final class PagesBench {
  private static final double GOAL = 100;
  private static final double RATIO = 3;
  private static final int TIMES = 3;
  private static final int PEOPLE = 20;
  private static final int CROWD_PAGES = 60;

  private PagesBench() {}

  private record Page(String shape, double small, double big) {
    double ratio() {
      return big / Math.max(small, 5); // what takes no time at all has no ratio
    }
  }

  /** Arguments: how many shapes at most; addresses of the small and of the big book, or of one. */
  public static void main(String[] args) throws Exception {
    int most = Integer.parseInt(args[0]);
    if (args.length == 2) {
      Walk once = walk(args[1], most, 0);
      System.out.println(once.paths().size() + " pages");
      return;
    }
    Walk small = walk(args[1], most, TIMES);
    Walk big = walk(args[2], most, TIMES);
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
    crowd(args[2], big.paths());
  }

  /**
   * @param times each page is asked for, besides the first time
   */
  private static Walk walk(String address, int most, int times) {
    Walk walk = new Walk(visitor(address), most);
    walk.go(times);
    return walk;
  }

  private static Visitor visitor(String address) {
    Visitor visitor = new Visitor(address);
    visitor.signIn("owner", "wickmere");
    return visitor;
  }

  /** Pages of every shape in no order, by many people, who each wait for an answer. */
  private static void crowd(String address, List<String> paths) throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
    try {
      List<Future<List<Long>>> all = new ArrayList<>();
      for (int i = 0; i < PEOPLE; i++) {
        Random dice = new Random(i);
        Visitor visitor = visitor(address);
        all.add(
            people.submit(
                () ->
                    IntStream.range(0, CROWD_PAGES)
                        .mapToObj(n -> paths.get(dice.nextInt(paths.size())))
                        .map(path -> visitor.get(path).nanos())
                        .toList()));
      }
      List<Long> took = new ArrayList<>();
      for (Future<List<Long>> one : all) took.addAll(one.get());
      double[] sorted = took.stream().mapToDouble(t -> t / 1e6).sorted().toArray();
      System.out.printf(
          Locale.ROOT,
          "%d people at once: median %.0f ms, p95 %.0f ms, longest %.0f ms; goal: p95 under 300 ms%n",
          PEOPLE,
          sorted[sorted.length / 2],
          sorted[(int) (sorted.length * 0.95)],
          sorted[sorted.length - 1]);
    } finally {
      people.shutdownNow();
    }
  }

  private static double median(List<Long> nanos) {
    return nanos.stream().sorted().toList().get(nanos.size() / 2) / 1e6;
  }
}
