package zinctally.store.paper;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;

/** Drafts: what was typed, kept as it is typed. */
@Repository
public class DraftStore {
  /**
   * An open draft by its key alone: looked up in the index of open drafts, its locks would be taken
   * in the other order than a posting takes them.
   */
  private static final String STILL_OPEN = " where id = ? and coalesce(paper_id, 0) = 0";

  private final JdbcClient sql;
  private final Clock clock;

  DraftStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  public long begin(Draft draft, String login) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.sql("insert into draft (kind, text, saved_at, saved_by) values (?, ?, ?, ?)")
        .params(draft.kind().name(), DraftText.write(draft), LocalDateTime.now(clock), login)
        .update(key, "id");
    return key.getKey().longValue();
  }

  /** A draft of a posted paper's next version; the open one, if there is one of this version. */
  public long beginAmending(long paper, int version, Draft text, String login) {
    return sql.sql(
            "select id from draft where amends = ? and amends_version = ? and paper_id is null"
                + " order by id limit 1")
        .params(paper, version)
        .query(Long.class)
        .optional()
        .orElseGet(
            () -> {
              long id = begin(text, login);
              sql.sql("update draft set amends = ?, amends_version = ? where id = ?")
                  .params(paper, version, id)
                  .update();
              return id;
            });
  }

  /**
   * Keeps what is typed now.
   *
   * @return what is kept; empty when the draft is posted or gone, and nothing was kept
   */
  public Optional<SavedDraft> save(long id, Draft draft, String login) {
    int changed =
        sql.sql(
                "update draft set text = ?, revision = revision + 1, saved_at = ?, saved_by = ?"
                    + STILL_OPEN)
            .params(DraftText.write(draft), LocalDateTime.now(clock), login, id)
            .update();
    if (changed == 0) return Optional.empty();
    return find(id);
  }

  public Optional<SavedDraft> find(long id) {
    return sql.sql("select * from draft where id = ?").param(id).query(DraftStore::row).optional();
  }

  /** The draft, held until the transaction ends. */
  public Optional<SavedDraft> lock(long id) {
    return sql.sql("select * from draft where id = ? for update")
        .param(id)
        .query(DraftStore::row)
        .optional();
  }

  /** Drafts not posted, newest first. */
  public List<SavedDraft> open(int atMost) {
    return sql.sql(
            "select * from draft where paper_id is null order by saved_at desc, id desc limit ?")
        .param(atMost)
        .query(DraftStore::row)
        .list();
  }

  /** What stands in drafts of a kind that are not posted. */
  public List<Draft> open(PaperKind kind) {
    return sql
        .sql("select * from draft where paper_id is null and kind = ?")
        .param(kind.name())
        .query(DraftStore::row)
        .list()
        .stream()
        .map(SavedDraft::draft)
        .toList();
  }

  public void posted(long id, long paper) {
    sql.sql("update draft set paper_id = ? where id = ?").params(paper, id).update();
  }

  /** Throws an open draft away; a posted one stays. */
  public void discard(long id) {
    sql.sql("delete from draft" + STILL_OPEN).param(id).update();
  }

  private static SavedDraft row(ResultSet row, int n) throws SQLException {
    PaperKind kind = PaperKind.valueOf(row.getString("kind"));
    return new SavedDraft(
        row.getLong("id"),
        DraftText.read(kind, row.getString("text")),
        row.getInt("revision"),
        row.getObject("saved_at", LocalDateTime.class),
        row.getString("saved_by"),
        row.getLong("paper_id"),
        row.getLong("amends"),
        row.getInt("amends_version"));
  }
}
