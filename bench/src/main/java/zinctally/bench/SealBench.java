package zinctally.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import zinctally.store.posting.Posting;
import zinctally.store.seal.Sealer;
import zinctally.store.seal.Verifying;

/** Posting while all is sealed at once beside posting alone; and how long many postings take. */
final class SealBench {
  private static final int ROUNDS = 15;
  private static final int SALES = 40;
  private static final int CHUNK = 50_000;
  private static final LocalDate DAY = LocalDate.of(2026, 2, 2);

  private SealBench() {}

  /**
   * @param postings how many are sealed and verified, a sale of two lines each
   */
  static void run(int postings) throws Exception {
    try (BenchBook book = new BenchBook("seal")) {
      book.item("I0", "AVERAGE");
      book.item("I1", "FIFO");
      book.post(
          book.bill(DAY.minusDays(9), BenchBook.rows("I0", "1000000", "2", "I1", "1000000", "3")));
      beside(book);
      many(book, postings);
    }
  }

  /** Rounds in turn: with the sealer every second, sixty times as often as in use. */
  private static void beside(BenchBook book) throws Exception {
    sales(book, 400);
    long[] alone = new long[ROUNDS];
    long[] sealed = new long[ROUNDS];
    Sealer sealer = book.get(Sealer.class);
    for (int round = 0; round < ROUNDS; round++) {
      alone[round] = sales(book, SALES);
      ScheduledExecutorService often = Executors.newSingleThreadScheduledExecutor();
      often.scheduleWithFixedDelay(sealer::seal, 0, 1, TimeUnit.SECONDS);
      sealed[round] = sales(book, SALES);
      often.shutdown();
      often.awaitTermination(1, TimeUnit.MINUTES);
    }
    double without = (double) Figures.median(alone) / SALES;
    double with = (double) Figures.median(sealed) / SALES;
    Figures.say("posting a sale of 2 lines", Figures.millis(without), "");
    Figures.say("the same while all is sealed every second", Figures.millis(with), "");
    Figures.say("  time against that alone", Figures.ratio(with / without), "goal: under 1.05");
  }

  private static long sales(BenchBook book, int count) {
    List<Long> drafts = new ArrayList<>();
    for (int i = 0; i < count; i++)
      drafts.add(
          book.draft(book.invoice(DAY, BenchBook.rows("I0", "1", "5.00", "I1", "2", "7.00"))));
    long began = System.nanoTime();
    for (long draft : drafts) book.get(Posting.class).post(draft, "bench");
    return System.nanoTime() - began;
  }

  /** Multiplies what the last sale wrote; it is about digests, not about what the book holds. */
  private static void many(BenchBook book, int postings) {
    long last = book.sql().sql("select max(id) from posting").query(Long.class).single();
    for (int from = 1; from <= postings; from += CHUNK) {
      int to = Math.min(postings, from + CHUNK - 1);
      for (String copy : COPIES)
        book.sql().sql(copy.formatted("seq_" + from + "_to_" + to)).param("last", last).update();
    }
    Sealer sealer = book.get(Sealer.class);
    long began = System.nanoTime();
    sealer.seal();
    Figures.say("sealing " + postings + " postings", Figures.millis(System.nanoTime() - began), "");
    began = System.nanoTime();
    List<Verifying.Verified> all = book.get(Verifying.class).all();
    long took = System.nanoTime() - began;
    long wrong =
        all.stream()
            .filter(v -> !v.what().startsWith("what is sealed"))
            .mapToLong(v -> v.faults().size())
            .sum();
    Figures.say(
        "verifying them" + (wrong == 0 ? "" : ", " + wrong + " FAULTS"),
        Figures.millis(took),
        "goal: a million under 60 s");
  }

  private static final List<String> COPIES =
      List.of(
          "insert into posting (id, paper_id, version, what, at, login)"
              + " select :last + seq, paper_id, 1 + seq, what, at, login from posting, %s where id = :last",
          "insert into paper_version (paper_id, version, text, posted_at, posted_by, what)"
              + " select v.paper_id, 1 + seq, v.text, v.posted_at, v.posted_by, v.what"
              + " from posting t join paper_version v on v.paper_id = t.paper_id and v.version = 1, %s"
              + " where t.id = :last",
          "insert into paper_line (paper_id, version, line, item_id, account_id, place_id, wording,"
              + " quantity, unit, price, discount, net, tax, tax_rate_id)"
              + " select l.paper_id, 1 + seq, l.line, l.item_id, l.account_id, l.place_id, l.wording,"
              + " l.quantity, l.unit, l.price, l.discount, l.net, l.tax, l.tax_rate_id"
              + " from posting t join paper_line l on l.paper_id = t.paper_id and l.version = 1, %s"
              + " where t.id = :last",
          "insert into journal (id, date, paper_id, version, reverses, posting_id, entered_at)"
              + " select 1000000 + seq, date, paper_id, 1 + seq, reverses, :last + seq, entered_at"
              + " from journal, %s where posting_id = :last",
          "insert into journal_line (journal_id, line, account_id, date, item_id, party_id, amount, memo, worked)"
              + " select 1000000 + seq, l.line, l.account_id, l.date, l.item_id, l.party_id, l.amount, l.memo, l.worked"
              + " from journal j join journal_line l on l.journal_id = j.id, %s"
              + " where j.posting_id = :last order by seq, l.line",
          "insert into cost_entry (item_id, event_id, posting_date, quantity, value, account_id,"
              + " cause_id, journal_id, entered_at, posting_id)"
              + " select item_id, event_id, posting_date, quantity, value, account_id, cause_id,"
              + " 1000000 + seq, entered_at, :last + seq from cost_entry, %s where posting_id = :last order by seq, id",
          "insert into quantity_move (item_id, place_id, date, quantity, paper_id, line, part, lot_id, posting_id)"
              + " select item_id, place_id, date, quantity, paper_id, line, part, lot_id, :last + seq"
              + " from quantity_move, %s where posting_id = :last order by seq, id");
}
