package zinctally.store.together;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import zinctally.core.papers.PaperKind;
import zinctally.store.FreshBook;

/**
 * A keeper's jars on consignment, of which the keeper has a share: one of ours and six of theirs
 * are here, one of theirs is sold and not settled.
 */
final class Keeper {
  private final FreshBook book;
  private final String n;
  private final String jars;
  private final long sale;

  Keeper(FreshBook book, String round) {
    this.book = book;
    n = round;
    jars = "C" + round;
    book.item(jars, Integer.parseInt(round) % 2 == 0 ? "FIFO" : "AVERAGE");
    paper(PaperKind.AGREEMENT, "2026-02-01", "item share", jars, "40");
    paper(PaperKind.CONSIGNMENT_IN, "2026-02-02", "item quantity", jars, "7");
    sale = sell("2026-03-01", "1", "9.00");
    paper(PaperKind.BILL, "2026-03-02", "item quantity price", jars, "1", "3.00");
  }

  Map<String, Callable<?>> deeds() {
    Map<String, Callable<?>> deeds = new LinkedHashMap<>();
    deeds.put("sells the last of ours and one of theirs", () -> sell("2026-03-09", "2", "9.00"));
    deeds.put("sells what is left of theirs", () -> sell("2026-03-08", "6", "8.00"));
    deeds.put(
        "settles",
        () -> paper(PaperKind.SETTLEMENT, "2026-03-10", "item quantity amount", jars, "1", "3.30"));
    deeds.put(
        "gives theirs back",
        () -> paper(PaperKind.CONSIGNMENT_BACK, "2026-03-10", "item quantity", jars, "5"));
    deeds.put("amends the sale of theirs", this::amends);
    return deeds;
  }

  private Object amends() {
    book.amend(sale, PaperKind.INVOICE, fields("2026-03-01"), FreshBook.rows(jars, "1", "7.00"));
    return sale;
  }

  private long sell(String date, String quantity, String price) {
    return paper(PaperKind.INVOICE, date, "item quantity price", jars, quantity, price);
  }

  private Map<String, String> fields(String date) {
    return new HashMap<>(
        Map.of("date", date, "supplier", "Hana " + n, "customer", "Marlow " + n, "place", "Store"));
  }

  private long paper(PaperKind kind, String date, String columns, String... cells) {
    return book.paper(kind, date, fields(date), columns, cells);
  }
}
