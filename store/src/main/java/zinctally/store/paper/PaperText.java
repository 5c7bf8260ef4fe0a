package zinctally.store.paper;

import java.time.LocalDateTime;
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

  public void write(long paper, int version, Draft draft, LocalDateTime at, String login) {
    sql.sql("insert into paper_version values (?, ?, ?, ?, ?)")
        .params(paper, version, DraftText.write(draft), at, login)
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
}
