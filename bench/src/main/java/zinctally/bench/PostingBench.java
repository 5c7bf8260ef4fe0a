package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import zinctally.core.papers.Draft;
import zinctally.store.posting.Posting;

/**
 * A sale of five lines, against a bare program that writes the same rows; then again with a hundred
 * times the history; then twenty people at once. Sales are at the end of history, dated on the day
 * of the latest.
 */
final class PostingBench {
  private static final int ITEMS = 2_000;
  private static final int ROUNDS = 15;
  private static final int SALES = 30;
  private static final int CROWDS = 5;
  private static final int PEOPLE = 20;
  private static final int CROWD_SALES = 400;
  private static final LocalDate FIRST = LocalDate.of(2026, 1, 2);
  private final BenchBook book;
  private final Random dice = new Random(7);
  private int day;

  private PostingBench(BenchBook book) {
    this.book = book;
  }

  /**
   * @param history sales before the first measure; a hundred times as many before the second
   */
  static void run(int history) throws Exception {
    try (BenchBook shortBook = new BenchBook("short");
        BenchBook longBook = new BenchBook("long")) {
      PostingBench few = new PostingBench(shortBook);
      PostingBench many = new PostingBench(longBook);
      few.stock();
      few.fill(history);
      many.stock();
      many.fill(history * 100);
      few.sales(200);
      many.sales(200);
      BareProgram bare = new BareProgram(shortBook.source());
      long[] ours = new long[ROUNDS];
      long[] theirs = new long[ROUNDS];
      long[] later = new long[ROUNDS];
      for (int round = 0; round < ROUNDS; round++) {
        List<Long> papers = new ArrayList<>();
        ours[round] = few.sales(SALES, papers);
        later[round] = many.sales(SALES);
        theirs[round] = bare.nanos(papers);
      }
      double posting = (double) Figures.median(ours) / SALES;
      double plain = (double) Figures.median(theirs) / SALES;
      double after = (double) Figures.median(later) / SALES;
      Figures.say("posting a sale of 5 lines", Figures.each(SALES, ours), "");
      Figures.say("bare program writing the same rows", Figures.each(SALES, theirs), "");
      Figures.say(
          "  rate of posting to the bare rate",
          Figures.ratio(plain / posting),
          "goal: 0.75 or more");
      Figures.say(
          "posting after " + history * 100 + " sales instead of " + history,
          Figures.each(SALES, later),
          "");
      Figures.say(
          "  time against that with the short history",
          Figures.ratio(after / posting),
          "goal: under 1.05");
      few.crowd();
    }
  }

  /** Sales one after another by one person, then by twenty at once, and how long each took. */
  private void crowd() throws Exception {
    long[] alone = new long[CROWDS];
    long[] together = new long[CROWDS];
    long[] slow = new long[CROWDS];
    for (int round = 0; round < CROWDS; round++) {
      alone[round] = crowd(1, new ArrayList<>());
      List<Long> took = new ArrayList<>();
      together[round] = crowd(PEOPLE, took);
      took.sort(null);
      slow[round] = took.get(took.size() * 95 / 100);
    }
    double ratio = (double) Figures.median(alone) / Figures.median(together);
    Figures.say("a sale, one person after another", Figures.each(CROWD_SALES, alone), "");
    Figures.say("a sale, twenty people at once", Figures.each(CROWD_SALES, together), "");
    Figures.say("  rate against one person's", Figures.ratio(ratio), "goal: 3.0 or more");
    Figures.say("  95 of 100 of them posted within", Figures.each(1, slow), "goal: 500 ms");
  }

  /**
   * @param took is given the nanoseconds of each sale
   * @return nanoseconds of all
   */
  private long crowd(int people, List<Long> took) throws Exception {
    List<Long> drafts = new ArrayList<>();
    for (int i = 0; i < CROWD_SALES; i++) drafts.add(book.draft(sale()));
    Posting posting = book.get(Posting.class);
    ExecutorService crowd = Executors.newFixedThreadPool(people);
    List<Future<Long>> work = new ArrayList<>();
    long start = System.nanoTime();
    for (long draft : drafts)
      work.add(
          crowd.submit(
              () -> {
                long begun = System.nanoTime();
                posting.post(draft, "bench");
                return System.nanoTime() - begun;
              }));
    for (Future<Long> each : work) took.add(each.get());
    long nanos = System.nanoTime() - start;
    crowd.shutdown();
    return nanos;
  }

  private void stock() {
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < ITEMS; i++) {
      book.item("I" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
      cells.addAll(List.of("I" + i, "1000000", "2.37"));
    }
    book.post(book.bill(FIRST, BenchBook.rows(cells.toArray(String[]::new))));
  }

  private Draft sale() {
    String[] cells = new String[15];
    for (int i = 0; i < 5; i++) {
      cells[i * 3] = "I" + dice.nextInt(ITEMS);
      cells[i * 3 + 1] = String.valueOf(1 + dice.nextInt(5));
      cells[i * 3 + 2] = "4.90";
    }
    return book.invoice(FIRST.plusDays(day++ / 400), BenchBook.rows(cells));
  }

  /** Sales that make history, two at a time. */
  private void fill(int count) throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(2);
    List<Future<?>> work = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      Draft sale = sale();
      work.add(people.submit(() -> book.post(sale)));
    }
    for (Future<?> each : work) each.get();
    people.shutdown();
  }

  private long sales(int count) {
    return sales(count, new ArrayList<>());
  }

  /**
   * Posts sales one after the other and returns the nanoseconds that took; drafts are there before.
   */
  private long sales(int count, List<Long> papers) {
    long[] drafts = new long[count];
    for (int i = 0; i < count; i++) drafts[i] = book.draft(sale());
    Posting posting = book.get(Posting.class);
    long start = System.nanoTime();
    long[] posted = Arrays.stream(drafts).map(d -> posting.post(d, "bench")).toArray();
    long nanos = System.nanoTime() - start;
    for (long paper : posted) papers.add(paper);
    return nanos;
  }
}
