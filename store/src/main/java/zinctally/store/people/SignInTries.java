package zinctally.store.people;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
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
  private static final Duration LONGEST_BY_NAME = Duration.ofMinutes(15);
  // whoever tries many keeps those beside him from their work no longer than this
  private static final Duration LONGEST_BY_ADDRESS = Duration.ofSeconds(30);
  private static final String ADDRESS = "address ";
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

  /** The address first: while it waits, no name is looked at or kept. */
  private Duration counted(String name, String address) {
    LocalDateTime now = LocalDateTime.now(clock);
    for (String key : List.of(address(address), name(name))) {
      Duration wait = wait(held(key, now), now);
      if (!wait.isZero()) return wait;
    }
    for (String key : List.of(address(address), name(name)))
      sql.sql("update sign_in_try set failures = failures + 1, latest = ? where what = ?")
          .params(now, key)
          .update();
    return Duration.ZERO;
  }

  /** What is known of a name or an address, held; what is a day old is forgotten. */
  private Tried held(String key, LocalDateTime now) {
    sql.sql(
            """
            insert into sign_in_try values (?, 0, ?) on duplicate key
            update failures = if(latest < ?, 0, failures)
            """)
        .params(key, now, now.minusDays(1))
        .update();
    return sql.sql("select * from sign_in_try where what = ? for update")
        .param(key)
        .query(
            (row, n) ->
                new Tried(row.getString(1), row.getInt(2), row.getObject(3, LocalDateTime.class)))
        .single();
  }

  private static Duration wait(Tried tried, LocalDateTime now) {
    boolean address = tried.what().startsWith(ADDRESS);
    int over = tried.failures() - (address ? FREE_BY_ADDRESS : FREE_BY_NAME);
    if (over < 0) return Duration.ZERO;
    Duration longest = address ? LONGEST_BY_ADDRESS : LONGEST_BY_NAME;
    Duration whole = Duration.ofSeconds(1L << Math.min(over, 12));
    if (whole.compareTo(longest) > 0) whole = longest;
    Duration left = Duration.between(now, tried.latest().plus(whole));
    return left.isNegative() ? Duration.ZERO : left;
  }

  /** Forgets, every night, tries that are a day old. */
  @Scheduled(cron = "0 0 3 * * *")
  public void forgetOld() {
    sql.sql("delete from sign_in_try where latest < ?")
        .param(LocalDateTime.now(clock).minusDays(1))
        .update();
  }

  /** It was right, and somebody is in. */
  public void right(String name, String address) {
    retrying.run(
        () -> {
          audit.write(cut(name), "sign-in", 0, "signed in", "from " + address);
          return forgotten(name, address);
        });
  }

  /**
   * The password was right and a code is asked for after it. The address is no guesser; the name
   * stays counted until the code is right, or who knows the password could guess codes for ever.
   */
  public void half(String address) {
    retrying.run(() -> believed(address));
  }

  /** It was the password of somebody who is in already. */
  public void known(String name, String address) {
    retrying.run(() -> forgotten(name, address));
  }

  private int believed(String address) {
    return sql.sql("update sign_in_try set failures = greatest(0, failures - 1) where what = ?")
        .param(address(address))
        .update();
  }

  private int forgotten(String name, String address) {
    believed(address);
    sql.sql("delete from sign_in_try where what = ?").param(name(name)).update();
    return 0;
  }

  /** It was wrong where a password is changed; it is counted already. */
  public void unknown(String name, String address) {
    audit.write(cut(name), "sign-in", 0, "gave a wrong password", "from " + address);
  }

  /** It was wrong; it is counted already. */
  public void wrong(String name, String address) {
    audit.write(cut(name), "sign-in", 0, "failed to sign in", "from " + address);
  }

  private static String name(String name) {
    return "name " + cut(name);
  }

  private static String address(String address) {
    return ADDRESS + address;
  }

  private static String cut(String name) {
    return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
  }
}
