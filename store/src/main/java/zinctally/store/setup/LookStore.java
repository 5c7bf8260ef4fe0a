package zinctally.store.setup;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;

/** How papers look that are handed over. */
@Repository
public class LookStore {
  private final JdbcClient sql;
  private final Audit audit;

  LookStore(JdbcClient sql, Audit audit) {
    this.audit = audit;
    this.sql = sql;
  }

  /**
   * @param header under the name of the book, with line breaks
   * @param columns which of {@code code}, {@code discount}, {@code tax} appear
   * @param wording what stands below the lines, by kind of paper
   */
  public record Look(
      String header, String footer, List<String> columns, Map<String, String> wording) {
    public String words(String kind) {
      return wording.getOrDefault(kind, "");
    }

    public boolean shows(String column) {
      return columns.contains(column);
    }
  }

  /**
   * @param type {@code image/png} or {@code image/jpeg}
   */
  public record Logo(byte[] bytes, String type) {}

  public Look look() {
    Map<String, String> wording = new HashMap<>();
    sql.sql("select kind, words from paper_wording")
        .query((row, n) -> wording.put(row.getString(1), row.getString(2)))
        .list();
    return sql.sql("select header, footer, columns from paper_look where id = 1")
        .query(
            (row, n) ->
                new Look(
                    row.getString(1),
                    row.getString(2),
                    List.of(row.getString(3).split(",")),
                    wording))
        .single();
  }

  public Optional<Logo> logo() {
    return sql.sql("select logo, logo_type from paper_look where logo is not null")
        .query((row, n) -> new Logo(row.getBytes(1), row.getString(2)))
        .optional();
  }

  @Transactional
  public void save(Look look, String login) {
    sql.sql("update paper_look set header = ?, footer = ?, columns = ? where id = 1")
        .params(look.header(), look.footer(), String.join(",", look.columns()))
        .update();
    look.wording()
        .forEach(
            (kind, words) ->
                sql.sql(
                        "insert into paper_wording values (?, ?)"
                            + " on duplicate key update words = values(words)")
                    .params(kind, words)
                    .update());
    audit.write(login, "papers", 1, "look", look.toString());
  }

  /** Keeps a logo; empty takes it away. */
  public void logo(Optional<Logo> logo) {
    sql.sql("update paper_look set logo = ?, logo_type = ? where id = 1")
        .param(logo.map(Logo::bytes).orElse(null))
        .param(logo.map(Logo::type).orElse(""))
        .update();
  }
}
