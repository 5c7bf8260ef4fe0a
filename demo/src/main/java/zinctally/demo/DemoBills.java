package zinctally.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.store.paper.DraftStore;
import zinctally.store.posting.Posting;

/** Posts papers of buying and finds them again. */
@Component
class DemoBills {

  private final DraftStore drafts;

  private final Posting posting;

  private final JdbcClient sql;

  DemoBills(DraftStore drafts, Posting posting, JdbcClient sql) {
    this.drafts = drafts;
    this.posting = posting;
    this.sql = sql;
  }

  /** Posts a paper and returns its number. Cells stand row by row in the order of the columns. */
  String post(
      PaperKind kind,
      String date,
      String who,
      Map<String, String> more,
      String columns,
      String... cells) {
    Map<String, String> fields = new HashMap<>();
    fields.put("date", date);
    fields.put(kind == PaperKind.INVOICE ? "customer" : "supplier", who);
    fields.put("place", "Barn store");
    fields.putAll(more);
    String[] names = columns.split(" ");
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < cells.length; i += names.length) {
      Map<String, String> row = new HashMap<>();
      for (int c = 0; c < names.length; c++)
        if (!cells[i + c].isEmpty()) row.put(names[c], cells[i + c]);
      rows.add(row);
    }
    long paper = Yes.post(posting, drafts, new Draft(kind, fields, rows), DemoPapers.LOGIN);
    return sql.sql("select number from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }

  static Map<String, String> theirs(String number) {
    return Map.of("their_number", number);
  }

  long id(String number) {
    return sql.sql("select id from paper where number = ?")
        .param(number)
        .query(Long.class)
        .single();
  }
}
