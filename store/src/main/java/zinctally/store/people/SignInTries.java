package zinctally.store.people;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.store.Audit;
import zinctally.store.Retrying;

/**
 * Tries to sign in, by name and by address. After some that were wrong each waits twice as long as
 * the one before. A try counts from before it is looked at until it turns out to be right, so that
 * many at one moment are no way round.
 */
@Repository
public class SignInTries {
  private static final int FREE_BY_NAME = 5;
  private static final int FREE_BY_ADDRESS = 30; // a whole shop may stand behind one
  private static final Duration LONGEST = Duration.ofMinutes(15);
  private static final int LONGEST_NAME = 60;
  private final JdbcClient sql;
  private final Audit audit;
  private final Retrying retrying;
  private final Clock clock;

  SignInTries(JdbcClient sql, Audit audit, Retrying retrying, Clock clock) {
    this.sql = sql;
    this.audit = audit;
    this.retrying = retrying;
    this.clock = clock;
  }

  private record Tried(String what, int failures, LocalDateTime latest) {}

  /**
   * Counts a try, if it may be made now.
   *
   * @return how long to wait before the next; zero when this one may be made
   */
  public Duration begin(String name, String address) {
    return retrying.run(() -> counted(name, address));
  }

  private Duration counted(String name, String address) {
    List<String> keys = List.of(address(address), name(name));
    LocalDateTime now = LocalDateTime.now(clock);
    for (String key : keys)
      sql.sql("insert into sign_in_try values (?, 0, ?) on duplicate key update latest = latest")
          .params(key, now)
          .update();
    List<Tried> tried =
        sql.sql("select * from sign_in_try where what in (:keys) order by what for update")
            .param("keys", keys)
            .query(
                (row, n) ->
                    new Tried(
                        row.getString(1), row.getInt(2), row.getObject(3, LocalDateTime.class)))
            .list();
    Duration wait = tried.stream().map(t -> wait(t, now)).max(Duration::compareTo).orElseThrow();
    if (!wait.isZero()) return wait;
    sql.sql(
            """
            update sign_in_try set failures = if(latest < :yesterday, 1, failures + 1), latest = :now
            where what in (:keys)
            """)
        .param("yesterday", now.minusDays(1))
        .param("now", now)
        .param("keys", keys)
        .update();
    return Duration.ZERO;
  }

  private static Duration wait(Tried tried, LocalDateTime now) {
    int over =
        tried.failures() - (tried.what().startsWith("address ") ? FREE_BY_ADDRESS : FREE_BY_NAME);
    if (over < 0) return Duration.ZERO;
    Duration whole = Duration.ofSeconds(1L << Math.min(over, 12));
    if (whole.compareTo(LONGEST) > 0) whole = LONGEST;
    Duration left = Duration.between(now, tried.latest().plus(whole));
    return left.isNegative() ? Duration.ZERO : left;
  }

  /** It was right. */
  public void right(String name, String address) {
    retrying.run(() -> forgotten(name, address));
  }

  private int forgotten(String name, String address) {
    sql.sql("update sign_in_try set failures = greatest(0, failures - 1) where what = ?")
        .param(address(address))
        .update();
    sql.sql("delete from sign_in_try where what = ?").param(name(name)).update();
    audit.write(cut(name), "sign-in", 0, "signed in", "from " + address);
    return 0;
  }

  /** It was wrong; it is counted already. */
  public void wrong(String name, String address) {
    audit.write(cut(name), "sign-in", 0, "failed to sign in", "from " + address);
  }

  private static String name(String name) {
    return "name " + cut(name);
  }

  private static String address(String address) {
    return "address " + address;
  }

  private static String cut(String name) {
    return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
  }
}
