package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.papers.Draft;
import zinctally.core.proof.Proof;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Proving;
import zinctally.store.posting.Voiding;

/** A bill entered late whose goods share an average with ten thousand sales after it. */
final class LateBillBench {
  private static final int LINES = 10;
  private static final LocalDate FIRST = LocalDate.of(2026, 1, 2);

  private LateBillBench() {}

  /**
   * @param sales lines sold after the bill's date, ten on a paper
   */
  static void run(int sales) {
    try (BenchBook book = new BenchBook("late")) {
      book.item("L", "AVERAGE");
      book.post(book.bill(FIRST, BenchBook.rows("L", "1000000", "2.00")));
      for (int paper = 0; paper < sales / LINES; paper++) {
        List<String> cells = new ArrayList<>();
        for (int line = 0; line < LINES; line++) cells.addAll(List.of("L", "3", "5.00"));
        LocalDate date = FIRST.plusDays(1 + paper * 150L / (sales / LINES));
        book.post(book.invoice(date, BenchBook.rows(cells.toArray(String[]::new))));
      }
      Posting posting = book.get(Posting.class);
      Proving proving = book.get(Proving.class);
      Voiding voiding = book.get(Voiding.class);
      Draft late = book.bill(FIRST, BenchBook.rows("L", "500000", "3.00"));
      long[] proofs = new long[5];
      int touched = 0;
      for (int i = 0; i < 5; i++) {
        long start = System.nanoTime();
        Proof proof = proving.prove(late, 0, "bench");
        proofs[i] = System.nanoTime() - start;
        touched = proof.work().orElseThrow().later().size();
      }
      long[] posts = new long[3];
      for (int i = 0; i < 3; i++) {
        long draft = book.draft(late);
        long start = System.nanoTime();
        long paper = posting.post(draft, "bench");
        posts[i] = System.nanoTime() - start;
        voiding.voidPaper(paper, FIRST, "", "bench");
      }
      Figures.say(
          "proof of a late bill that touches " + touched + " later sale lines",
          Figures.seconds(proofs),
          "goal: 0.15 s");
      Figures.say("posting it", Figures.seconds(posts), "goal: 0.6 s");
    }
  }
}
