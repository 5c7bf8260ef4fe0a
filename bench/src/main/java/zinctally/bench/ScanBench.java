package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Proving;

/** A scan at the counter: the sale is kept and proved again with one line more. */
final class ScanBench {
  private static final LocalDate DATE = LocalDate.of(2026, 3, 2);
  private static final int WARM = 30;
  private static final int RUNS = 51;

  private ScanBench() {}

  static void run(int items) {
    try (BenchBook book = new BenchBook("scan")) {
      List<String> cells = new ArrayList<>();
      for (int i = 0; i < items; i++) {
        book.item("S-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
        cells.addAll(List.of("S-" + i, "100", "2.00"));
      }
      book.post(book.bill(DATE.minusDays(9), BenchBook.rows(cells.toArray(String[]::new))));
      DraftStore drafts = book.get(DraftStore.class);
      Proving proving = book.get(Proving.class);
      Map<String, String> head = Map.of("date", DATE.toString(), "place", "Store");
      long id = drafts.begin(new Draft(PaperKind.COUNTER_SALE, head, List.of()), "bench");
      long[] scans = new long[RUNS];
      for (int i = -WARM; i < RUNS; i++) {
        List<Map<String, String>> rows = new ArrayList<>();
        for (int line = 0; line < 3; line++)
          rows.add(Map.of("item", "S-" + Math.floorMod(i * 3 + line, items), "price", "3.00"));
        Draft sale = new Draft(PaperKind.COUNTER_SALE, head, rows);
        long start = System.nanoTime();
        drafts.save(id, sale, drafts.find(id).orElseThrow().seen(), "bench");
        proving.prove(sale, 0, "bench");
        if (i >= 0) scans[i] = System.nanoTime() - start;
      }
      Figures.say(
          "a scan at the counter, kept and proved with three lines",
          Figures.seconds(scans),
          "goal: under 0.05 s");
    }
  }
}
