package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.make.KnownRecipe;
import zinctally.store.make.RecipeStore;
import zinctally.store.posting.Proving;

/** What is missing for a recipe of many parts, and a late cost through goods that were made. */
final class MakingBench {
  private static final LocalDate FIRST = LocalDate.of(2026, 1, 2);
  private static final int RUNS = 21;

  private MakingBench() {}

  /**
   * @param parts of the recipe
   * @param sales lines sold of what was made
   */
  static void run(int parts, int sales) {
    try (BenchBook book = new BenchBook("making")) {
      missing(book, parts);
      through(book, sales);
    }
  }

  private static void missing(BenchBook book, int parts) {
    List<String> cells = new ArrayList<>();
    List<Map<String, String>> rows = new ArrayList<>();
    book.item("WHOLE", "FIFO");
    for (int i = 0; i < parts; i++) {
      book.item("P-" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
      cells.addAll(List.of("P-" + i, "10", "2.00"));
      rows.add(Map.of("item", "P-" + i, "quantity", "3"));
    }
    book.post(book.bill(FIRST, BenchBook.rows(cells.toArray(String[]::new))));
    long paper =
        book.post(
            new Draft(
                PaperKind.RECIPE,
                Map.of("date", FIRST.toString(), "item", "WHOLE", "quantity", "1"),
                rows));
    RecipeStore recipes = book.get(RecipeStore.class);
    long[] took = new long[RUNS];
    int missing = 0;
    for (int i = -RUNS; i < RUNS; i++) {
      long start = System.nanoTime();
      BookCatalogue open = book.get(Catalogues.class).open();
      KnownRecipe recipe = recipes.of(paper, open).orElseThrow();
      missing = recipes.needs(recipe, Quantity.of("7"), FIRST, open).toBuy().size();
      if (i >= 0) took[i] = System.nanoTime() - start;
    }
    Figures.say(
        "what is missing over a recipe of " + missing + " parts",
        Figures.seconds(took),
        "goal: under 0.1 s");
  }

  /** The same sales of what was bought and of what was made twice over. */
  private static void through(BenchBook book, int sales) {
    for (String code : List.of("PLAIN", "RAW", "HALF", "DONE")) book.item(code, "FIFO");
    String many = String.valueOf(sales);
    book.post(book.bill(FIRST, BenchBook.rows("PLAIN", many, "2.00", "RAW", many, "2.00")));
    make(book, "HALF", "RAW", many);
    make(book, "DONE", "HALF", many);
    for (String code : List.of("PLAIN", "DONE"))
      for (int from = 0; from < sales; from += 100) {
        List<String> cells = new ArrayList<>();
        for (int i = from; i < Math.min(sales, from + 100); i++)
          cells.addAll(List.of(code, "1", "5.00"));
        book.post(book.invoice(FIRST.plusDays(1), BenchBook.rows(cells.toArray(String[]::new))));
      }
    long plain = late(book, "PLAIN");
    long made = late(book, "RAW");
    Figures.say(
        "proof of a late bill under " + sales + " sales of what was made of made goods",
        Figures.seconds(made),
        "");
    Figures.say(
        "against the same sales of what was bought",
        Figures.ratio((double) made / plain),
        "goal: under 2");
  }

  private static void make(BenchBook book, String item, String of, String many) {
    Map<String, String> head = new HashMap<>();
    head.putAll(Map.of("date", FIRST.toString(), "place", "Store"));
    head.putAll(Map.of("item", item, "quantity", many));
    book.post(new Draft(PaperKind.ASSEMBLY, head, List.of(Map.of("item", of, "quantity", many))));
  }

  /** A dearer bill of the day before, which all that came after is costed by. */
  private static long late(BenchBook book, String code) {
    Draft bill = book.bill(FIRST.minusDays(1), BenchBook.rows(code, "500000", "3.00"));
    long[] took = new long[RUNS];
    for (int i = -RUNS / 2; i < RUNS; i++) {
      long start = System.nanoTime();
      Proof proof = book.get(Proving.class).prove(bill, 0, "bench");
      if (proof.work().orElseThrow().later().isEmpty())
        throw new IllegalStateException("nothing followed");
      if (i >= 0) took[i] = System.nanoTime() - start;
    }
    return Figures.median(took);
  }
}
