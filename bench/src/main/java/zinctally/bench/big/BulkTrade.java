package zinctally.bench.big;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.bench.BenchBook;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Long bills and invoices of many items, posted as anyone's. */
final class BulkTrade {
  private static final LocalDate FIRST = LocalDate.of(2026, 1, 2);
  private static final int DAYS = 310;
  private final BenchBook book;
  private final int items;
  private final int customers;

  BulkTrade(BenchBook book, int items, int customers) {
    this.book = book;
    this.items = items;
    this.customers = customers;
  }

  void items() {
    book.sql()
        .sql(
            "insert into item (id, code, name, kind, group_id, method, base_unit) select"
                + " next value for item_id, concat('B', lpad(seq, 4, '0')), concat('Sheet of foundation ', seq),"
                + " 'STOCKED', g.id, if(seq % 2, 'FIFO', 'AVERAGE'), 'H87' from seq_1_to_"
                + items
                + " join (select id, row_number() over (order by id) as place, count(*) over () as all_of"
                + " from item_group where parent_id is not null) g on g.place = 1 + seq % g.all_of")
        .update();
  }

  /** So many papers of so many lines; each third brings goods, and enough for the next two. */
  void papers(int papers, int lines) {
    int at = 0;
    for (int i = 0; i < papers; i++) {
      boolean buys = i % 3 == 0;
      List<Map<String, String>> rows = new ArrayList<>();
      if (i % 3 != 2) at = i / 3 * lines % items;
      for (int line = 0; line < lines; line++) {
        Map<String, String> row = new HashMap<>();
        row.put("item", "B%04d".formatted(1 + (at + line) % items));
        row.put("quantity", String.valueOf(buys ? 40 + line % 7 : 3 + line % 5));
        row.put("price", buys ? "4." + (10 + line % 80) : "7." + (10 + line % 80));
        row.put("tax", "S");
        rows.add(row);
      }
      Map<String, String> fields = new HashMap<>();
      fields.put("date", FIRST.plusDays((long) DAYS * i / papers).toString());
      fields.put("place", "Barn store");
      fields.put(buys ? "supplier" : "customer", (buys ? "Mill " : "Yard ") + (1 + i % customers));
      fields.put("their_number", buys ? "M-" + i : "");
      post(new Draft(buys ? PaperKind.BILL : PaperKind.INVOICE, fields, rows));
    }
  }

  /** One item that everybody buys. */
  void hot(int papers, int lines) {
    book.sql()
        .sql(
            "insert into item (id, code, name, kind, group_id, method, base_unit) select"
                + " next value for item_id, 'HOT', 'Jar, one pound', 'STOCKED', min(id), 'FIFO', 'H87'"
                + " from item_group")
        .update();
    for (int i = 0; i < papers; i++) {
      boolean buys = i % 10 == 0;
      List<Map<String, String>> rows = new ArrayList<>();
      for (int line = 0; line < lines; line++)
        rows.add(
            Map.of(
                "item",
                "HOT",
                "quantity",
                buys ? "90" : "5",
                "price",
                buys ? "0.4" : "0.9",
                "tax",
                "S"));
      Map<String, String> fields = new HashMap<>();
      fields.put("date", FIRST.plusDays((long) DAYS * i / papers).toString());
      fields.put("place", "Shop");
      fields.put(buys ? "supplier" : "customer", buys ? "Mill 1" : "Yard 1");
      fields.put("their_number", buys ? "H-" + i : "");
      post(new Draft(buys ? PaperKind.BILL : PaperKind.INVOICE, fields, rows));
    }
  }

  private void post(Draft draft) {
    long kept = book.get(DraftStore.class).begin(draft, "bookkeeper");
    book.get(Posting.class).post(kept, "bookkeeper");
  }
}
