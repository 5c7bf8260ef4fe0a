package zinctally.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;

/** Posts papers of buying and finds them again. */
@Component
class DemoBills {
  private final DemoPapers papers;
  private final JdbcClient sql;

  DemoBills(DemoPapers papers, JdbcClient sql) {
    this.papers = papers;
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
    return papers.post(kind, fields, rows);
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
