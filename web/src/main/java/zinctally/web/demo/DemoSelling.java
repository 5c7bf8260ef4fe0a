package zinctally.web.demo;

import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;

/** Orders of customers: one of which some has gone, one of which a line is short. */
@Component
class DemoSelling {
  private static final String LOGIN = "bookkeeper";
  private final DraftStore drafts;
  private final Posting posting;
  private final JdbcClient sql;
  private final TillStore tills;
  private final TillClosing closing;

  DemoSelling(
      DraftStore drafts, Posting posting, TillStore tills, TillClosing closing, JdbcClient sql) {
    this.tills = tills;
    this.closing = closing;
    this.drafts = drafts;
    this.posting = posting;
    this.sql = sql;
  }

  void write() {
    terms();
    String order =
        post(
            PaperKind.SALES_ORDER,
            Map.of(
                "date", "2026-11-10",
                "customer", "Ridgeway Allotments",
                "reference", "RA 26/4",
                "expected", "2026-11-30"),
            row("BBX-10", "12", "32.00"),
            row("SBX-06", "10", "23.50"));
    post(
        PaperKind.INVOICE,
        Map.of("date", "2026-11-13", "customer", "Ridgeway Allotments", "reference", "RA 26/4"),
        Map.of("of", order, "item", "SBX-06", "quantity", "10", "price", "23.50", "tax", "S"));
    post(
        PaperKind.SALES_ORDER,
        Map.of(
            "date", "2026-11-19",
            "customer", "Thornby School",
            "expected", "2026-12-04",
            "notes", "Hive stands follow from our supplier."),
        row("HST-02", "8", "19.50"),
        row("SMK-03", "2", "29.50"));
    inParts();
    ahead();
    counter();
  }

  /** Two days at the counter, one of them counted and closed. */
  private void counter() {
    sql.sql(
            """
            update app_user set initials = case login when 'owner' then 'IW'
              when 'bookkeeper' then 'MH' when 'counter' then 'TA' end
            """)
        .update();
    tills.open("Shop", 15000, "counter");
    sale(
        "2026-11-20",
        Map.of("cash", "50"),
        row("BRU-01", "2", "6.90"),
        row("LBL-01", "1", "14.40"));
    sale("2026-11-20", Map.of("card", "92.00"), row("GLV-09", "4", "23.00"));
    sale(
        "2026-11-20",
        Map.of(
            "card", "90",
            "account", "90",
            "times", "3",
            "every", "month",
            "customer", "Brother Aldous",
            "cash", "50"),
        row("VEL-02", "3", "68.00"));
    String first = sale("2026-11-21", Map.of("cash", "50"), row("CND-M1", "3", "12.50"));
    post(
        PaperKind.CUSTOMER_RETURN,
        Map.of(
            "date", "2026-11-21",
            "customer", "Over the counter",
            "back", "1010",
            "place", "Shop"),
        Map.of(
            "paper", first,
            "item", "CND-M1",
            "quantity", "1",
            "reason", "Faulty",
            "goods", "Breakage"));
    sale("2026-11-21", Map.of("cash", "20"), row("SMP-01", "2", "7.20"));
    TillStore.Till till = tills.of("counter").orElseThrow();
    closing.close(till.id(), till.expected() - 50, "counter");
  }

  @SafeVarargs
  private String sale(String date, Map<String, String> paid, Map<String, String>... rows) {
    Map<String, String> fields = new java.util.HashMap<>(paid);
    fields.put("date", date);
    fields.put("seller", "TA");
    fields.put("prices", "included");
    return post(PaperKind.COUNTER_SALE, fields, rows);
  }

  /** On what terms some of them buy. */
  private void terms() {
    sql.sql("update item set tax_rate_id = (select id from tax_rate where code = 'S')").update();
    sql.sql(
            """
            update party set price_list_id = 2, credit_limit = 2500000, discount = 0,
              address = 'Fenwick Garden, 4 Mill Lane, Wickmere',
              places = 'Fenwick Garden, Gate 2, Orchard Road, Wickmere\nMarket stall 14, Hollin',
              email = 'orders@fenwick.example', phone = '0190 4417'
            where kind = 'CUSTOMER' and name = 'Fenwick Garden'
            """)
        .update();
    sql.sql(
            """
            insert into party (kind, name, terms_days, price_list_id, discount, language, address,
              tax_rate_id)
            values
              ('CUSTOMER', 'Imkerei Tannhof', 14, 2, 5, 'de',
               'Imkerei Tannhof, Am Anger 3, Tannhof', (select id from tax_rate where code = 'Z')),
              ('CUSTOMER', 'Kvutzat Alonim', 30, 1, 0, 'he', 'Kvutzat Alonim, Alonim',
               (select id from tax_rate where code = 'Z'))
            """)
        .update();
  }

  /** An order of which half is here: it goes, is invoiced, and the rest waits. */
  private void inParts() {
    String order =
        post(
            PaperKind.SALES_ORDER,
            Map.of(
                "date", "2026-10-26",
                "customer", "Fenwick Garden",
                "reference", "FG 88",
                "expected", "2026-11-20"),
            row("BBX-10", "14", "27.20"),
            row("FRD-01", "100", "0.94"));
    String first =
        post(
            PaperKind.DELIVERY,
            Map.of(
                "date", "2026-10-28",
                "customer", "Fenwick Garden",
                "reference", "FG 88",
                "address", "Fenwick Garden, Gate 2, Orchard Road, Wickmere"),
            Map.of("of", order, "item", "BBX-10", "quantity", "6"),
            Map.of("of", order, "item", "FRD-01", "quantity", "100"));
    post(
        PaperKind.INVOICE,
        Map.of("date", "2026-10-31", "customer", "Fenwick Garden", "reference", "FG 88"),
        Map.of("of", first, "item", "BBX-10", "quantity", "6", "price", "27.20", "tax", "S"),
        Map.of("of", first, "item", "FRD-01", "quantity", "100", "price", "0.94", "tax", "S"));
    post(
        PaperKind.DELIVERY,
        Map.of("date", "2026-11-17", "customer", "Imkerei Tannhof", "reference", "IT-7"),
        Map.of("item", "SMK-03", "quantity", "2"));
  }

  /** An invoice that is sent, and part of its goods. */
  private void ahead() {
    String invoice =
        post(
            PaperKind.INVOICE,
            Map.of(
                "date", "2026-11-05",
                "customer", "Kvutzat Alonim",
                "reference", "K-12",
                "goods", "later"),
            Map.of("item", "JAR-34", "quantity", "240", "price", "0.70", "discount", "5"),
            Map.of("item", "SMK-03", "quantity", "1", "price", "29.50"));
    post(
        PaperKind.DELIVERY,
        Map.of("date", "2026-11-12", "customer", "Kvutzat Alonim", "reference", "K-12"),
        Map.of("of", invoice, "item", "JAR-34", "quantity", "120"));
  }

  private long paper(Draft draft) {
    return posting.post(drafts.begin(draft, LOGIN), LOGIN);
  }

  private static Map<String, String> row(String item, String quantity, String price) {
    return Map.of("item", item, "quantity", quantity, "price", price, "tax", "S");
  }

  @SafeVarargs
  private String post(PaperKind kind, Map<String, String> fields, Map<String, String>... rows) {
    Map<String, String> head = new java.util.HashMap<>(fields);
    head.putIfAbsent("place", kind == PaperKind.COUNTER_SALE ? "Shop" : "Barn store");
    long paper = paper(new Draft(kind, head, List.of(rows)));
    return sql.sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }
}
