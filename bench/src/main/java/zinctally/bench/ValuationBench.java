package zinctally.bench;

import java.time.LocalDate;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.ValuationListings;
import zinctally.store.prove.TieOutStore;

/** Valuation at a past date of a big book; its tables are filled by queries, not by postings. */
final class ValuationBench {
  private static final int DAYS = 3650;

  private ValuationBench() {}

  static void run(int items, int moves) {
    try (BenchBook book = new BenchBook("valuation")) {
      fill(book, items, moves);
      LocalDate date = LocalDate.of(2016, 1, 1).plusDays(DAYS / 2 + 11);
      ListingStore lists = book.get(ListingStore.class);
      long[] pages = new long[5];
      long[] recent = new long[5];
      long[] sums = new long[5];
      for (int i = 0; i < 5; i++) {
        LocalDate at = date.plusDays(i);
        long start = System.nanoTime();
        lists.page(ValuationListings.valuation(at, false), Ask.ALL);
        pages[i] = System.nanoTime() - start;
        start = System.nanoTime();
        lists.page(ValuationListings.valuation(at.plusDays(DAYS / 2 - 60), true), Ask.ALL);
        recent[i] = System.nanoTime() - start;
        start = System.nanoTime();
        book.get(TieOutStore.class).byAccount(at);
        sums[i] = System.nanoTime() - start;
      }
      String size = items + " items, " + moves + " moves";
      Figures.say("valuation half-way back, " + size, Figures.seconds(pages), "goal: under 0.5 s");
      Figures.say("  at a date two months ago", Figures.seconds(recent), "");
      Figures.say("  and its totals by account", Figures.seconds(sums), "");
    }
  }

  private static void fill(BenchBook book, int items, int moves) {
    book.sql().sql("set foreign_key_checks = 0").update();
    book.sql()
        .sql(
            "insert into item (id, code, name, kind, group_id, method, base_unit) select seq,"
                + " concat('I', lpad(seq, 6, '0')), concat('Item ', seq), 'STOCKED', 1, 'AVERAGE', 'H87'"
                + " from seq_1_to_"
                + items)
        .update();
    long stock =
        book.sql().sql("select id from account where role = 'STOCK'").query(Long.class).single();
    for (int from = 1; from <= moves; from += 200_000)
      book.sql()
          .sql(
              "insert into cost_entry (item_id, event_id, posting_date, quantity, value, account_id,"
                  + " cause_id, journal_id) select 1 + seq * 7919 % :items, seq,"
                  + " date_add('2016-01-01', interval floor(seq * :days / (:moves + 1)) day),"
                  + " if(seq % 3 = 0, -2, 3) * 1000000, if(seq % 3 = 0, -400, 600), :stock, 1, 1"
                  + " from seq_"
                  + from
                  + "_to_"
                  + Math.min(moves, from + 199_999))
          .param("items", items)
          .param("days", DAYS)
          .param("moves", moves)
          .param("stock", stock)
          .update();
    book.sql()
        .sql(
            "insert into item_month (item_id, month, quantity, value) select item_id,"
                + " date_sub(posting_date, interval day(posting_date) - 1 day) as month, sum(quantity), sum(value) from cost_entry group by item_id, month")
        .update();
    book.sql()
        .sql(
            "insert into item_year (item_id, year, quantity, value) select item_id, year(month), sum(quantity), sum(value)"
                + " from item_month group by item_id, year(month)")
        .update();
    book.sql()
        .sql(
            "insert into stock_month select account_id, date_sub(posting_date, interval day(posting_date) - 1 day)"
                + " as month, sum(value) from cost_entry group by account_id, month")
        .update();
    book.sql()
        .sql(
            "insert into cost_pool (item_id, on_hand, worth, layers, last_date, last_sequence, last_line,"
                + " since_checkpoint, latest_quantity, latest_value) select item_id, sum(quantity), sum(value),"
                + " '|', '2025-12-31', 1, 1, 0, 1, 1 from item_year group by item_id")
        .update();
    for (String table : new String[] {"cost_entry", "item_month", "item_year", "cost_pool", "item"})
      book.sql().sql("analyze table " + table).query((row, n) -> row.getString(1)).list();
  }
}
