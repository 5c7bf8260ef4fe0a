package zinctally.store.prove;

import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Lines of the audit trail, whole. */
@Repository
public class AuditStore {
  private final JdbcClient sql;

  AuditStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * A line.
   *
   * @param thing the id of what it is about; zero for what has none
   * @param number of the paper it is about; empty for another thing
   * @param before what it was, in words; empty where that is not kept
   */
  public record Line(
      long id,
      LocalDateTime at,
      String login,
      String subject,
      long thing,
      String number,
      String what,
      String before,
      String after) {}

  public Optional<Line> find(long id) {
    return sql.sql(
            """
            select a.id, a.at, a.login, a.subject, a.subject_id, coalesce(p.number, ''), a.what,
              coalesce(a.before_text, ''), coalesce(a.after_text, '')
            from audit a left join paper p on a.subject = 'paper' and p.id = a.subject_id
            where a.id = ?
            """)
        .param(id)
        .query(
            (row, n) ->
                new Line(
                    row.getLong(1),
                    row.getObject(2, LocalDateTime.class),
                    row.getString(3),
                    row.getString(4),
                    row.getLong(5),
                    row.getString(6),
                    row.getString(7),
                    row.getString(8),
                    row.getString(9)))
        .optional();
  }
}
