package zinctally.store.question;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;

/** Questions that are asked by themselves, and for whom. */
@Repository
public class ScheduleStore {
  private final JdbcClient sql;
  private final Audit audit;
  private final Clock clock;

  ScheduleStore(JdbcClient sql, Audit audit, Clock clock) {
    this.sql = sql;
    this.audit = audit;
    this.clock = clock;
  }

  /**
   * A question that is asked by itself.
   *
   * @param to addresses it goes to
   * @param login whose it is; it answers what they may read
   */
  public record Planned(
      long id, long question, Schedule when, String form, List<String> to, String login) {}

  public List<Planned> of(long question) {
    return sql.sql("select * from question_schedule where question_id = ? order by id")
        .param(question)
        .query(ScheduleStore::row)
        .list();
  }

  @Transactional
  public void add(Planned planned) {
    LocalDateTime next = planned.when().after(LocalDateTime.now(clock));
    sql.sql(
            "insert into question_schedule (question_id, every, on_day, at_time, form, sent_to, login,"
                + " next_at) values (?, ?, ?, ?, ?, ?, ?, ?)")
        .params(planned.question(), planned.when().every().name(), planned.when().day())
        .params(planned.when().time(), planned.form(), String.join(", ", planned.to()))
        .params(planned.login(), next)
        .update();
    audit.write(planned.login(), "question", planned.question(), "to be sent", said(planned));
  }

  @Transactional
  public void remove(Planned planned, String login) {
    sql.sql("delete from question_schedule where id = ?").param(planned.id()).update();
    audit.write(login, "question", planned.question(), "no longer to be sent", said(planned), "");
  }

  /**
   * Takes those whose time has come; each is taken once, by whoever is first, and what was missed
   * while nothing ran is made up for once.
   */
  @Transactional
  public List<Planned> take() {
    LocalDateTime now = LocalDateTime.now(clock);
    List<Planned> due =
        sql.sql(
                "select * from question_schedule where next_at <= ? order by next_at limit 20"
                    + " for update skip locked")
            .param(now)
            .query(ScheduleStore::row)
            .list();
    for (Planned planned : due)
      sql.sql("update question_schedule set next_at = ? where id = ?")
          .params(planned.when().after(now), planned.id())
          .update();
    return due;
  }

  private static String said(Planned p) {
    return p.when().words() + ", as " + p.form() + ", to " + String.join(", ", p.to());
  }

  private static Planned row(ResultSet row, int n) throws SQLException {
    return new Planned(
        row.getLong("id"),
        row.getLong("question_id"),
        new Schedule(
            Schedule.Every.valueOf(row.getString("every")),
            row.getInt("on_day"),
            row.getObject("at_time", LocalTime.class)),
        row.getString("form"),
        Arrays.stream(row.getString("sent_to").split(",")).map(String::strip).toList(),
        row.getString("login"));
  }
}
