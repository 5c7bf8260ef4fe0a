package zinctally.store.paper;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;

/** What was typed for each version of a posted paper. */
@Repository
public class PaperText {
  private final JdbcClient sql;

  PaperText(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param what posted or amended
   */
  public void write(
      long paper, int version, Draft draft, String what, LocalDateTime at, String login) {
    sql.sql(
            "insert into paper_version (paper_id, version, text, posted_at, posted_by, what)"
                + " values (?, ?, ?, ?, ?, ?)")
        .params(paper, version, DraftText.write(draft), at, login, what)
        .update();
  }

  public Draft read(long paper, int version, PaperKind kind) {
    return DraftText.read(
        kind,
        sql.sql("select text from paper_version where paper_id = ? and version = ?")
            .params(paper, version)
            .query(String.class)
            .single());
  }

  /**
   * @param what posted or amended
   */
  public record Version(int version, String what, LocalDateTime at, String by) {}

  public Version version(long paper, int version) {
    return versions(paper).stream().filter(v -> v.version() == version).findFirst().orElseThrow();
  }

  /** When a paper was voided, by whom, and on which day and why; empty when it was not. */
  public record Voiding(LocalDateTime at, String by, String note) {}

  public Optional<Voiding> voiding(long paper) {
    return sql.sql(
            """
            select at, login, after_text from audit
            where subject = 'paper' and subject_id = ? and what like 'voided %'
            """)
        .param(paper)
        .query(
            (row, n) ->
                new Voiding(
                    row.getObject(1, LocalDateTime.class), row.getString(2), row.getString(3)))
        .optional();
  }

  /** All versions of a paper, the first first. */
  public List<Version> versions(long paper) {
    return sql.sql(
            "select version, what, posted_at, posted_by from paper_version"
                + " where paper_id = ? order by version")
        .param(paper)
        .query(
            (row, n) ->
                new Version(
                    row.getInt(1),
                    row.getString(2),
                    row.getObject(3, LocalDateTime.class),
                    row.getString(4)))
        .list();
  }
}
