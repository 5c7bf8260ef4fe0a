package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import zinctally.core.number.Quantity;
import zinctally.store.count.CountClosing;
import zinctally.store.count.CountLine;
import zinctally.store.count.CountLines;
import zinctally.store.count.CountSheet;
import zinctally.store.count.CountSheets;
import zinctally.store.count.Counting;
import zinctally.store.count.Scanned;
import zinctally.store.count.Scope;
import zinctally.store.posting.Posting;

/** A count sheet of many lines: opened, scanned on, closed and posted with every line apart. */
final class CountBench {
  private static final LocalDate DATE = LocalDate.of(2026, 3, 2);
  private static final int PAGE = 101;
  private static final int BILL = 500;
  private static final int RUNS = 51;

  private CountBench() {}

  static void run(int lines) {
    try (BenchBook book = new BenchBook("count")) {
      for (int from = 0; from < lines; from += BILL) {
        List<String> cells = new ArrayList<>();
        for (int i = from; i < Math.min(lines, from + BILL); i++) {
          book.item("C-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
          cells.addAll(List.of("C-" + i, "100", "2.00"));
        }
        book.post(book.bill(DATE.minusDays(9), BenchBook.rows(cells.toArray(String[]::new))));
      }
      String tenth =
          IntStream.range(0, lines / 10).mapToObj(i -> "C-" + i).collect(Collectors.joining("\n"));
      long small = begin(book, Scope.ITEMS, tenth);
      long sheet = begin(book, Scope.ALL, "");
      long whole = open(book, sheet);
      Figures.say(
          "a count sheet of " + lines + " lines, its first hundred shown",
          Figures.seconds(whole),
          "goal: under 0.3 s");
      Figures.say(
          "against one of a tenth of them",
          Figures.ratio((double) whole / open(book, small)),
          "goal: under 10");
      int[] next = {0};
      Figures.say(
          "a scan on it",
          Figures.seconds(median(() -> scan(book, sheet, next[0]++))),
          "goal: under 0.05 s");
      apart(book, sheet);
      long start = System.nanoTime();
      long draft =
          book.get(CountClosing.class).close(sheet, Optional.empty(), "bench").orElseThrow();
      book.get(Posting.class).post(draft, "bench");
      Figures.say(
          "closed and posted with every line apart",
          Figures.seconds(System.nanoTime() - start),
          "goal: under 5 s");
    }
  }

  private static long begin(BenchBook book, Scope scope, String value) {
    return book.get(CountSheets.class)
        .begin(
            new CountSheets.Wanted(
                "Store", DATE, scope, value, new CountSheet.Rules(true, false, null, null)),
            "bench");
  }

  private static long open(BenchBook book, long sheet) {
    CountSheets sheets = book.get(CountSheets.class);
    CountLines lines = book.get(CountLines.class);
    return median(
        () -> {
          sheets.find(sheet);
          sheets.progress(sheet);
          return lines.page(sheet, CountLines.Which.ALL, "", 0, PAGE).size();
        });
  }

  private static long scan(BenchBook book, long sheet, int item) {
    Counting.Counted scanned = book.get(Scanned.class).read("C-" + item, "", "");
    return book.get(Counting.class).enter(sheet, scanned, "bench").id();
  }

  /** What was not scanned is one short, too. */
  private static void apart(BenchBook book, long sheet) {
    for (CountLine line :
        book.get(CountLines.class).page(sheet, CountLines.Which.LEFT, "", 0, Integer.MAX_VALUE))
      book.get(Counting.class)
          .enter(
              sheet,
              new Counting.Counted(line.item(), line.lot(), Quantity.of("99"), "", null),
              "bench");
  }

  private static long median(LongSupplier work) {
    long[] runs = new long[RUNS];
    long done = 0;
    for (int i = -RUNS / 2; i < RUNS; i++) {
      long start = System.nanoTime();
      done += work.getAsLong();
      if (i >= 0) runs[i] = System.nanoTime() - start;
    }
    if (done == 0) throw new IllegalStateException("nothing was measured");
    return Figures.median(runs);
  }
}
