package zinctally.store;

import java.time.Clock;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The audit trail: who did what to which thing, in the transaction that does it. */
@Component
public class Audit {
  private static final int LONGEST = 200;
  private final JdbcClient sql;
  private final Clock clock;

  Audit(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * @param subject what kind of thing: {@code paper}, {@code item}
   * @param id zero for a thing that has none
   * @param after what it is now, in words
   */
  public void write(String login, String subject, long id, String what, String after) {
    write(login, subject, id, what, null, after);
  }

  /**
   * @param before what it was, in words; null when that is not kept
   */
  public void write(
      String login, String subject, long id, String what, @Nullable String before, String after) {
    sql.sql(
            "insert into audit (at, login, subject, subject_id, what, before_text, after_text)"
                + " values (?, ?, ?, ?, ?, ?, ?)")
        .params(LocalDateTime.now(clock), login, subject, id, cut(what))
        .param(before)
        .param(after)
        .update();
  }

  private static String cut(String what) {
    return what.length() > LONGEST ? what.substring(0, LONGEST) : what;
  }
}
