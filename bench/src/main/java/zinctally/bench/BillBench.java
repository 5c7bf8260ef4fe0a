package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.posting.Proving;

/** A long bill as it is pasted: each line another item, with goods or for goods received before. */
final class BillBench {
  private static final LocalDate DATE = LocalDate.of(2026, 3, 2);
  private static final int WARM = 10;
  private static final int RUNS = 11;

  private BillBench() {}

  static void run(int lines) {
    try (BenchBook book = new BenchBook("bill")) {
      List<String> cells = new ArrayList<>();
      for (int i = 0; i < lines; i++) {
        book.item("B-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
        cells.addAll(List.of("B-" + i, "10", "2.00"));
      }
      List<Map<String, String>> rows = BenchBook.rows(cells.toArray(String[]::new));
      for (int i = 0; i < 20; i++) {
        book.post(book.bill(DATE.minusDays(40 - i), rows));
        book.post(book.invoice(DATE.minusDays(19 - i / 2), rows.subList(0, lines / 2)));
      }
      measure(
          book,
          "proof of a bill of " + lines + " lines with goods",
          book.bill(DATE, rows),
          "goal: under 0.3 s");
      measure(
          book,
          "proof of a bill for as many received before",
          received(book, rows),
          "goal: under 0.1 s");
    }
  }

  /** A bill, dearer by a tenth, for goods that have come. */
  private static Draft received(BenchBook book, List<Map<String, String>> rows) {
    Map<String, String> head =
        Map.of("date", DATE.toString(), "supplier", "Orrin Joinery", "place", "Store");
    long receipt = book.post(new Draft(PaperKind.RECEIPT, head, rows));
    String number =
        book.sql()
            .sql("select number from paper where id = ?")
            .param(receipt)
            .query(String.class)
            .single();
    List<Map<String, String>> billed = new ArrayList<>();
    for (Map<String, String> row : rows) {
      Map<String, String> line = new HashMap<>(row);
      line.put("of", number);
      line.put("price", "2.20");
      billed.add(line);
    }
    return book.bill(DATE.plusDays(1), billed);
  }

  private static void measure(BenchBook book, String what, Draft draft, String goal) {
    Proving proving = book.get(Proving.class);
    long[] proofs = new long[RUNS];
    for (int i = -WARM; i < RUNS; i++) {
      long start = System.nanoTime();
      Proof proof = proving.prove(draft, 0, "bench");
      if (i >= 0) proofs[i] = System.nanoTime() - start;
      if (!proof.sound()) throw new IllegalStateException(proof.faults().toString());
    }
    Figures.say(what, Figures.seconds(proofs), goal);
  }
}
