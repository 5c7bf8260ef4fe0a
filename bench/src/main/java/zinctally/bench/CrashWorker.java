package zinctally.bench;

import java.io.FileOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import zinctally.store.Refused;
import zinctally.store.posting.Voiding;

/**
 * Posts and voids at random until it is killed, and writes down each paper that was acknowledged.
 * Ends by itself after two minutes.
 */
public final class CrashWorker {
  private static final int PEOPLE = 4;
  private static final int ITEMS = 12;

  private CrashWorker() {}

  /** Arguments: the file for what was acknowledged, and a seed. */
  public static void main(String[] args) throws Exception {
    BenchBook book = BenchBook.lasting("crash");
    if (book.sql().sql("select count(*) from item").query(Long.class).single() == 0)
      for (int i = 0; i < ITEMS; i++) book.item("I" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
    FileOutputStream acknowledged = new FileOutputStream(args[0], true);
    AtomicBoolean going = new AtomicBoolean(true);
    ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
    for (int person = 0; person < PEOPLE; person++) {
      long seed = Long.parseLong(args[1]) * PEOPLE + person;
      people.submit(() -> work(book, new Random(seed), acknowledged, going));
    }
    System.out.println("working");
    Thread.sleep(120_000);
    going.set(false);
    people.shutdown();
    people.awaitTermination(20, TimeUnit.SECONDS);
    System.exit(0);
  }

  private static void work(
      BenchBook book, Random dice, FileOutputStream acknowledged, AtomicBoolean going) {
    List<Long> mine = new ArrayList<>();
    while (going.get()) {
      LocalDate date = LocalDate.of(2026, 1, 2).plusDays(dice.nextInt(120));
      String[] line = {"I" + dice.nextInt(ITEMS), String.valueOf(1 + dice.nextInt(9)), "3.33"};
      try {
        int what = dice.nextInt(10);
        if (what == 0 && !mine.isEmpty()) {
          long paper = mine.remove(dice.nextInt(mine.size()));
          book.get(Voiding.class).voidPaper(paper, LocalDate.of(2026, 5, 30), "", "bench");
          say(acknowledged, "void " + paper);
        } else {
          long paper =
              what < 6
                  ? book.post(book.bill(date, BenchBook.rows(line)))
                  : book.post(book.invoice(date, BenchBook.rows(line)));
          mine.add(paper);
          say(acknowledged, "posted " + paper);
        }
      } catch (Refused notEnough) {
        continue;
      } catch (Exception gone) {
        return;
      }
    }
  }

  private static synchronized void say(FileOutputStream acknowledged, String what)
      throws java.io.IOException {
    acknowledged.write((what + "\n").getBytes(StandardCharsets.UTF_8));
  }
}
