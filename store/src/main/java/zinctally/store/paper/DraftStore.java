package zinctally.store.paper;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Figures;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.store.ledger.CentreStore;
import zinctally.store.sql.NewRow;

/** Drafts: what was typed, kept as it is typed. */
@Repository
public class DraftStore {
  /**
   * An open draft by its key alone: looked up in the index of open drafts, its locks would be taken
   * in the other order than a posting takes them.
   */
  private static final String STILL_OPEN = " where id = ? and coalesce(paper_id, 0) = 0";

  private final JdbcClient sql;
  private final CentreStore centres;
  private final Clock clock;

  DraftStore(JdbcClient sql, CentreStore centres, Clock clock) {
    this.sql = sql;
    this.centres = centres;
    this.clock = clock;
  }

  /** A new draft; the usual cost centre of who begins it stands in its head. */
  public long begin(Draft draft, String login) {
    boolean borne = draft.kind().is(Trait.BORNE) && draft.field(Draft.CENTRE).isEmpty();
    Optional<String> usual = borne ? centres.ofPerson(login) : Optional.empty();
    return begin(usual.map(c -> draft.with(Draft.CENTRE, c)).orElse(draft), 0, 0, login);
  }

  /**
   * @param amends the posted paper it is to be the next version of; zero for none
   * @param version of that paper from which it begins
   */
  public long begin(Draft draft, long amends, int version, String login) {
    return NewRow.id(
        sql.sql(
                "insert into draft (kind, text, saved_at, saved_by, begun_by, amends, amends_version)"
                    + " values (?, ?, ?, ?, ?, ?, ?)")
            .params(draft.kind().name(), write(draft), LocalDateTime.now(clock))
            .params(login, login, amends, version));
  }

  /** A draft of a posted paper's next version; the open one, if there is one of this version. */
  public long beginAmending(long paper, int version, Draft text, String login) {
    return sql.sql(
            "select id from draft where amends = ? and amends_version = ? and paper_id is null"
                + " order by id limit 1")
        .params(paper, version)
        .query(Long.class)
        .optional()
        .orElseGet(() -> begin(text, paper, version, login));
  }

  /**
   * Keeps what is typed now.
   *
   * @param seen what the window has of it
   * @return what is kept; empty when the draft is posted or gone, or has been saved in another
   *     window since, and nothing was kept
   */
  public Optional<SavedDraft> save(long id, Draft draft, SavedDraft.Seen seen, String login) {
    int changed =
        sql.sql(
                "update draft set text = ?, revision = revision + 1, saved_at = ?, saved_by = ?,"
                    + " saved_in = ?"
                    + STILL_OPEN
                    + " and (revision = ? or (saved_in = ? and saved_in <> ''))")
            .params(write(draft), LocalDateTime.now(clock), login, seen.window(), id)
            .params(seen.revision(), seen.window())
            .update();
    if (changed == 0) return Optional.empty();
    return find(id);
  }

  /** What a program or a person has written, in the form in which they have. */
  private static String write(Draft draft) {
    return DraftText.write(draft.inForm(Figures.form()));
  }

  /** Of what kind a draft is. */
  public Optional<PaperKind> kind(long id) {
    return sql.sql("select kind from draft where id = ?")
        .param(id)
        .query(PaperKind.class)
        .optional();
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

  /**
   * Throws an open draft away.
   *
   * @param seen what the window has of it
   * @return false when it is posted, or was saved in another window since: it stays
   */
  public boolean discard(long id, SavedDraft.Seen seen) {
    return sql.sql("delete from draft" + STILL_OPEN + " and (revision = ? or saved_in = ?)")
            .params(id, seen.revision(), seen.window())
            .update()
        > 0;
  }

  /** Lets those at the counter write in a draft that another began, or no longer. */
  public void share(long id, boolean shared) {
    sql.sql("update draft set shared = ?" + STILL_OPEN).params(shared, id).update();
  }

  private static SavedDraft row(ResultSet row, int n) throws SQLException {
    PaperKind kind = PaperKind.valueOf(row.getString("kind"));
    return new SavedDraft(
        row.getLong("id"),
        DraftText.read(kind, row.getString("text")),
        row.getInt("revision"),
        row.getObject("saved_at", LocalDateTime.class),
        row.getString("saved_by"),
        row.getString("saved_in"),
        row.getString("begun_by"),
        row.getBoolean("shared"),
        row.getLong("paper_id"),
        row.getLong("amends"),
        row.getInt("amends_version"));
  }
}
