package zinctally.store.question;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;
import zinctally.store.sql.NewRow;

/** Questions that are kept, with whom they are shared, and who has them on the Day page. */
@Repository
public class QuestionStore {
  private final JdbcClient sql;
  private final Audit audit;
  private final Clock clock;

  QuestionStore(JdbcClient sql, Audit audit, Clock clock) {
    this.sql = sql;
    this.audit = audit;
    this.clock = clock;
  }

  /**
   * A question that is kept.
   *
   * @param asked as it stands in an address
   * @param roles with whom it is shared
   */
  public record Kept(long id, String owner, String name, String asked, List<String> roles) {
    public boolean mayRead(String login, String role) {
      return owner.equalsIgnoreCase(login) || roles.contains(role);
    }

    public boolean mayChange(String login) {
      return owner.equalsIgnoreCase(login);
    }
  }

  public Optional<Kept> find(long id) {
    return sql.sql("select * from question where id = ?")
        .param(id)
        .query(QuestionStore::row)
        .optional();
  }

  /** Those that somebody has on the Day page and may still read. */
  public List<Kept> pinned(String login, String role) {
    return sql.sql(
            """
            select q.* from question_pin p join question q on q.id = p.question_id
            where p.login = ? and (q.owner = p.login or find_in_set(?, q.roles) > 0)
            order by q.name, q.id limit 12
            """)
        .params(login, role)
        .query(QuestionStore::row)
        .list();
  }

  public boolean isPinned(long id, String login) {
    return sql.sql("select exists (select 1 from question_pin where question_id = ? and login = ?)")
        .params(id, login)
        .query(Boolean.class)
        .single();
  }

  public void pin(long id, String login, boolean on) {
    if (on)
      sql.sql("insert ignore into question_pin (login, question_id) values (?, ?)")
          .params(login, id)
          .update();
    else
      sql.sql("delete from question_pin where login = ? and question_id = ?")
          .params(login, id)
          .update();
  }

  /**
   * Keeps a question (id zero for a new one).
   *
   * @return its id; empty when its owner has another that is called so, or it is not theirs
   */
  @Transactional
  public Optional<Long> save(Kept question) {
    boolean taken =
        sql.sql("select exists (select 1 from question where owner = ? and name = ? and id <> ?)")
            .params(question.owner(), question.name(), question.id())
            .query(Boolean.class)
            .single();
    if (taken) return Optional.empty();
    String roles = String.join(",", question.roles());
    LocalDateTime now = LocalDateTime.now(clock);
    if (question.id() == 0) {
      long id =
          NewRow.id(
              sql.sql(
                      "insert into question (owner, name, asked, roles, changed_at)"
                          + " values (?, ?, ?, ?, ?)")
                  .params(question.owner(), question.name(), question.asked(), roles, now));
      audit.write(question.owner(), "question", id, "made", said(question));
      return Optional.of(id);
    }
    Optional<Kept> before = find(question.id());
    int changed =
        sql.sql(
                "update question set name = ?, asked = ?, roles = ?, changed_at = ?"
                    + " where id = ? and owner = ?")
            .params(question.name(), question.asked(), roles, now)
            .params(question.id(), question.owner())
            .update();
    if (changed == 0) return Optional.empty();
    audit.write(
        question.owner(),
        "question",
        question.id(),
        "changed",
        before.map(QuestionStore::said).orElse(null),
        said(question));
    return Optional.of(question.id());
  }

  /** Throws a question of one's own away, with its pins and the times it is asked by itself. */
  @Transactional
  public void remove(Kept question) {
    sql.sql("delete from question where id = ?").param(question.id()).update();
    audit.write(question.owner(), "question", question.id(), "thrown away", said(question), "");
  }

  private static String said(Kept q) {
    return q.name() + "\n" + q.asked() + "\nshared with: " + String.join(", ", q.roles());
  }

  private static Kept row(ResultSet row, int n) throws SQLException {
    return new Kept(
        row.getLong("id"),
        row.getString("owner"),
        row.getString("name"),
        row.getString("asked"),
        Arrays.stream(row.getString("roles").split(",")).filter(r -> !r.isEmpty()).toList());
  }
}
