package zinctally.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.Refused;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Posts papers of the demo as the bookkeeper would. */
@Component
class DemoPapers {
  static final String LOGIN = "bookkeeper";
  private final DraftStore drafts;
  private final Posting posting;
  private final JdbcClient sql;

  DemoPapers(DraftStore drafts, Posting posting, JdbcClient sql) {
    this.drafts = drafts;
    this.posting = posting;
    this.sql = sql;
  }

  /** Posts a paper, out of the Barn store or over the Shop's counter, and gives its number. */
  String post(PaperKind kind, Map<String, String> fields, List<Map<String, String>> rows) {
    Map<String, String> head = new HashMap<>(fields);
    head.putIfAbsent("place", kind == PaperKind.COUNTER_SALE ? "Shop" : "Barn store");
    try {
      long paper = Yes.post(posting, drafts, new Draft(kind, head, rows), LOGIN);
      return sql.sql("select number from paper where id = ?")
          .param(paper)
          .query(String.class)
          .single();
    } catch (Refused refused) {
      throw new IllegalStateException("the demo's " + kind + head + rows + " is refused", refused);
    }
  }

  @SafeVarargs
  final String post(PaperKind kind, Map<String, String> fields, Map<String, String>... rows) {
    return post(kind, fields, List.of(rows));
  }

  static Map<String, String> row(String item, String quantity, String price) {
    return Map.of("item", item, "quantity", quantity, "price", price, "tax", "S");
  }
}
