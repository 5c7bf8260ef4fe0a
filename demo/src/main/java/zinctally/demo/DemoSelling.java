package zinctally.demo;

import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.store.sell.ReminderStore;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;

/**
 * Selling in the demo's last weeks: an order of which some has gone, one of which a line is short,
 * an invoice ahead of its goods, two days at the counter, and who is reminded.
 */
@Component
class DemoSelling {
  private final DemoPapers papers;
  private final JdbcClient sql;
  private final TillStore tills;
  private final TillClosing closing;
  private final ReminderStore reminders;

  DemoSelling(
      DemoPapers papers,
      TillStore tills,
      TillClosing closing,
      ReminderStore reminders,
      JdbcClient sql) {
    this.papers = papers;
    this.tills = tills;
    this.closing = closing;
    this.reminders = reminders;
    this.sql = sql;
  }

  void write() {
    terms();
    String order =
        papers.post(
            PaperKind.SALES_ORDER,
            Map.of(
                "date", "2026-11-10",
                "customer", "Ridgeway Allotments",
                "reference", "RA 26/4",
                "expected", "2026-11-30"),
            DemoPapers.row("BBX-10", "12", "32.00"),
            DemoPapers.row("SBX-06", "10", "23.50"));
    papers.post(
        PaperKind.INVOICE,
        Map.of("date", "2026-11-13", "customer", "Ridgeway Allotments", "reference", "RA 26/4"),
        Map.of("of", order, "item", "SBX-06", "quantity", "10", "price", "23.50", "tax", "S"));
    papers.post(
        PaperKind.SALES_ORDER,
        Map.of(
            "date", "2026-11-19",
            "customer", "Thornby School",
            "expected", "2026-12-04",
            "notes", "Hive stands follow from our supplier."),
        DemoPapers.row("HST-02", "8", "19.50"),
        DemoPapers.row("SMK-03", "2", "29.50"));
    inParts();
    ahead();
    counter();
    reminded();
  }

  /** Who is late is asked; two of the reminders are sent, the others wait as drafts. */
  private void reminded() {
    reminders.draft(DemoPapers.LOGIN);
    sql.sql("select id from reminder order by id limit 2")
        .query(Long.class)
        .list()
        .forEach(reminders::sent);
  }

  /** Two days at the counter, one of them counted and closed. */
  private void counter() {
    papers.post(
        PaperKind.BILL,
        Map.of(
            "date", "2026-11-18",
            "supplier", "Tamsin Print",
            "their_number", "TP-5530",
            "place", "Shop"),
        DemoPapers.row("BRU-01", "6", "3.10"),
        DemoPapers.row("LBL-01", "6", "8.20"),
        DemoPapers.row("GLV-09", "6", "11.90"),
        DemoPapers.row("VEL-02", "4", "33.00"),
        DemoPapers.row("CND-M1", "4", "6.40"),
        DemoPapers.row("SMP-01", "4", "3.60"));
    tills.open("Shop", 15000, "counter");
    sale(
        "2026-11-20",
        Map.of("cash", "50"),
        DemoPapers.row("BRU-01", "2", "6.90"),
        DemoPapers.row("LBL-01", "1", "14.40"));
    sale("2026-11-20", Map.of("card", "92.00"), DemoPapers.row("GLV-09", "4", "23.00"));
    sale(
        "2026-11-20",
        Map.of(
            "card", "90",
            "account", "90",
            "times", "3",
            "every", "month",
            "customer", "Brother Aldous",
            "cash", "50"),
        DemoPapers.row("VEL-02", "3", "68.00"));
    String first = sale("2026-11-21", Map.of("cash", "50"), DemoPapers.row("CND-M1", "3", "12.50"));
    papers.post(
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
    sale("2026-11-21", Map.of("cash", "20"), DemoPapers.row("SMP-01", "2", "7.20"));
    TillStore.Till till = tills.of("counter").orElseThrow();
    closing.close(till.id(), till.expected() - 50, "counter");
  }

  @SafeVarargs
  private String sale(String date, Map<String, String> paid, Map<String, String>... rows) {
    Map<String, String> fields = new java.util.HashMap<>(paid);
    fields.put("date", date);
    fields.put("seller", "TA");
    fields.put("prices", "included");
    return papers.post(PaperKind.COUNTER_SALE, fields, rows);
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
        papers.post(
            PaperKind.SALES_ORDER,
            Map.of(
                "date", "2026-10-26",
                "customer", "Fenwick Garden",
                "reference", "FG 88",
                "expected", "2026-11-20"),
            DemoPapers.row("BBX-10", "14", "27.20"),
            DemoPapers.row("FRD-01", "100", "0.94"));
    String first =
        papers.post(
            PaperKind.DELIVERY,
            Map.of(
                "date", "2026-10-28",
                "customer", "Fenwick Garden",
                "reference", "FG 88",
                "address", "Fenwick Garden, Gate 2, Orchard Road, Wickmere"),
            Map.of("of", order, "item", "BBX-10", "quantity", "6"),
            Map.of("of", order, "item", "FRD-01", "quantity", "100"));
    papers.post(
        PaperKind.INVOICE,
        Map.of("date", "2026-10-31", "customer", "Fenwick Garden", "reference", "FG 88"),
        Map.of("of", first, "item", "BBX-10", "quantity", "6", "price", "27.20", "tax", "S"),
        Map.of("of", first, "item", "FRD-01", "quantity", "100", "price", "0.94", "tax", "S"));
    papers.post(
        PaperKind.DELIVERY,
        Map.of("date", "2026-11-17", "customer", "Imkerei Tannhof", "reference", "IT-7"),
        Map.of("item", "SMK-03", "quantity", "2"));
  }

  /** An invoice that is sent, and part of its goods. */
  private void ahead() {
    String invoice =
        papers.post(
            PaperKind.INVOICE,
            Map.of(
                "date", "2026-11-05",
                "customer", "Kvutzat Alonim",
                "reference", "K-12",
                "goods", "later"),
            Map.of("item", "JAR-34", "quantity", "240", "price", "0.70", "discount", "5"),
            Map.of("item", "SMK-03", "quantity", "1", "price", "29.50"));
    papers.post(
        PaperKind.DELIVERY,
        Map.of("date", "2026-11-12", "customer", "Kvutzat Alonim", "reference", "K-12"),
        Map.of("of", invoice, "item", "JAR-34", "quantity", "120"));
  }
}
