package zinctally.web.demo;

import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Orders of customers: one of which some has gone, one of which a line is short. */
@Component
class DemoSelling {
  private static final String LOGIN = "bookkeeper";
  private final DraftStore drafts;
  private final Posting posting;
  private final JdbcClient sql;

  DemoSelling(DraftStore drafts, Posting posting, JdbcClient sql) {
    this.drafts = drafts;
    this.posting = posting;
    this.sql = sql;
  }

  void write() {
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
  }

  private static Map<String, String> row(String item, String quantity, String price) {
    return Map.of("item", item, "quantity", quantity, "price", price, "tax", "S");
  }

  @SafeVarargs
  private String post(PaperKind kind, Map<String, String> fields, Map<String, String>... rows) {
    Map<String, String> head = new java.util.HashMap<>(fields);
    head.put("place", "Barn store");
    long paper = posting.post(drafts.begin(new Draft(kind, head, List.of(rows)), LOGIN), LOGIN);
    return sql.sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }
}
