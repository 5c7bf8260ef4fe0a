package zinctally.bench.house;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import zinctally.bench.pages.Visitor;

/**
 * People at work in many books that one program serves, and the same people in one of them: pages
 * of every area, and a paper begun every tenth time.
 */
public final class ManyBooks {
  private static final List<String> PAGES =
      List.of("/", "/goods", "/buy", "/sell", "/handle", "/prove", "/ask", "/prove/accounts");

  private static final int BEGINS_EVERY = 10;
  private static final long SEED = 7;

  private ManyBooks() {}

  /**
   * @param args the program's address, the house's name, how many books, people at once, seconds
   */
  public static void main(String[] args) throws Exception {
    String program = args[0];
    int books = Integer.parseInt(args[2]);
    int people = Integer.parseInt(args[3]);
    long nanos = Long.parseLong(args[4]) * 1_000_000_000;
    List<Visitor> visitors =
        IntStream.rangeClosed(1, books)
            .mapToObj(i -> new Visitor(program, "shop" + i + "." + args[1]))
            .toList();
    say("sign-in and first page of each book", all(visitors, people));
    say("Day of each book, the second time", each(visitors, people));
    say(people + " people in " + books + " books", crowd(visitors, people, nanos));
    say(people + " people in one of them", crowd(visitors.subList(0, 1), people, nanos));
  }

  /** How long things took, and how many were not answered well. */
  private record Took(long[] nanos, int failed, double seconds) {}

  private static Took all(List<Visitor> visitors, int people) throws Exception {
    return timed(
        people,
        visitors.stream()
            .<Callable<long[]>>map(
                v ->
                    () -> {
                      long start = System.nanoTime();
                      v.signIn("bookkeeper", "wickmere");
                      return new long[] {System.nanoTime() - start, 0};
                    })
            .toList());
  }

  private static Took each(List<Visitor> visitors, int people) throws Exception {
    return timed(
        people, visitors.stream().<Callable<long[]>>map(v -> () -> seen(v.get("/"))).toList());
  }

  private static long[] seen(Visitor.Answer answer) {
    return new long[] {answer.nanos(), answer.isPage() ? 0 : 1};
  }

  private static Took timed(int people, List<Callable<long[]>> work) throws Exception {
    long start = System.nanoTime();
    ExecutorService hands = Executors.newFixedThreadPool(people);
    try {
      List<long[]> took = new ArrayList<>();
      for (Future<long[]> done : hands.invokeAll(work)) took.add(done.get());
      return took(took, start);
    } finally {
      hands.shutdownNow();
    }
  }

  private static Took took(List<long[]> took, long start) {
    return new Took(
        took.stream().mapToLong(t -> t[0]).sorted().toArray(),
        (int) took.stream().filter(t -> t[1] > 0).count(),
        (System.nanoTime() - start) / 1e9);
  }

  private static Took crowd(List<Visitor> visitors, int people, long nanos) throws Exception {
    long start = System.nanoTime();
    ExecutorService hands = Executors.newFixedThreadPool(people);
    try {
      List<Future<List<long[]>>> all = new ArrayList<>();
      for (int i = 0; i < people; i++) {
        Random random = new Random(SEED + i);
        all.add(
            hands.submit(
                () -> {
                  List<long[]> took = new ArrayList<>();
                  while (System.nanoTime() - start < nanos)
                    took.add(once(visitors.get(random.nextInt(visitors.size())), random));
                  return took;
                }));
      }
      List<long[]> took = new ArrayList<>();
      for (Future<List<long[]>> one : all) took.addAll(one.get());
      return took(took, start);
    } finally {
      hands.shutdownNow();
    }
  }

  private static long[] once(Visitor visitor, Random random) {
    return seen(
        random.nextInt(BEGINS_EVERY) == 0
            ? visitor.post("/papers/new/adjustment")
            : visitor.get(PAGES.get(random.nextInt(PAGES.size()))));
  }

  private static void say(String what, Took took) {
    long[] sorted = took.nanos;
    System.out.printf(
        "%-40s %5d answers, %d failed, %.1f a second; half within %.0f ms, 95 of 100 %.0f ms, the slowest %.0f ms%n",
        what,
        sorted.length,
        took.failed,
        sorted.length / took.seconds,
        sorted[sorted.length / 2] / 1e6,
        sorted[sorted.length * 95 / 100] / 1e6,
        Arrays.stream(sorted).max().orElse(0) / 1e6);
  }
}
