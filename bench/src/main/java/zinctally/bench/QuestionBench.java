package zinctally.bench;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.question.Typed;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.question.Questions;
import zinctally.store.question.Subject;
import zinctally.store.question.Subjects;

/** First pages of questions over a year of a big book, which is filled by queries. */
final class QuestionBench {
  private static final int DAYS = 3650;
  private static final int ROUNDS = 5;
  private static final LocalDate FIRST = LocalDate.of(2016, 1, 1);

  private QuestionBench() {}

  static void run(int items, int moves) {
    try (BenchBook book = new BenchBook("question")) {
      fill(book, items, moves);
      String size = " of a year, " + items + " items, " + moves + " moves";
      first(book, "movements" + size + ", by item, most first", "by.1", "item");
      first(book, "  by group and place", "by.1", "group", "by.2", "place");
      first(book, "  by month side by side", "by.1", "group", "across", "calc.1");
    }
  }

  private static void first(BenchBook book, String words, String... by) {
    Subject subject = Subjects.find("movements", true, true).orElseThrow();
    long[] took = new long[ROUNDS];
    for (int i = 0; i < ROUNDS; i++) {
      Map<String, String> asked =
          new LinkedHashMap<>(
              Map.of(
                  "about", "movements",
                  "see.1", "came",
                  "see.2", "left",
                  "summary", "on",
                  "order.1", "left",
                  "order.1.down", "on",
                  "if.1", "moved",
                  "if.1.test", "BETWEEN",
                  "if.1.a", FIRST.plusYears(i + 2).toString(),
                  "if.1.b", FIRST.plusYears(i + 3).minusDays(1).toString()));
      asked.put("calc.1", "MONTH");
      asked.put("calc.1.a", "moved");
      for (int b = 0; b < by.length; b += 2) asked.put(by[b], by[b + 1]);
      Listing listing =
          book.get(Questions.class)
              .answer(
                  "",
                  subject,
                  new Typed(asked, t -> t.startsWith("calc.") ? t : subject.keyOf(t)).question())
              .listing();
      long start = System.nanoTime();
      book.get(ListingStore.class).page(listing, Ask.ALL);
      took[i] = System.nanoTime() - start;
    }
    Figures.say(words, Figures.seconds(took), "goal: under 1 s");
  }

  private static void fill(BenchBook book, int items, int moves) {
    book.sql().sql("set foreign_key_checks = 0").update();
    for (String made :
        List.of(
            "insert into item_group (id, parent_id, name) select 1000 + seq, 1, concat('Group ', seq)"
                + " from seq_1_to_200",
            "insert into place (id, name) select 100 + seq, concat('Place ', seq) from seq_1_to_10",
            "insert into item (id, code, name, kind, group_id, method, base_unit) select seq,"
                + " concat('I', lpad(seq, 6, '0')), concat('Item ', seq), 'STOCKED', 1001 + seq % 200,"
                + " 'AVERAGE', 'H87' from seq_1_to_"
                + items)) book.sql().sql(made).update();
    for (int from = 1; from <= moves; from += 200_000)
      book.sql()
          .sql(
              "insert into quantity_move (item_id, place_id, date, quantity, paper_id, line, part, lot_id,"
                  + " posting_id) select 1 + seq * 7919 % :items, 101 + seq % 10,"
                  + " date_add(:first, interval floor(seq * :days / (:moves + 1)) day),"
                  + " if(seq % 3 = 0, -2, 3) * 1000000, 1, 0, 0, 0, 1 from seq_"
                  + from
                  + "_to_"
                  + Math.min(moves, from + 199_999))
          .param("items", items)
          .param("first", FIRST)
          .param("days", DAYS)
          .param("moves", moves)
          .update();
    for (String table : List.of("quantity_move", "item", "place", "item_group"))
      book.sql().sql("analyze table " + table).query((row, n) -> row.getString(1)).list();
  }
}
