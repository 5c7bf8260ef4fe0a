package zinctally.store.people;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.LongStream;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;

/**
 * The second step of signing in: a code that a device of one's own works out from a secret and the
 * time (TOTP, RFC 6238: six digits, half a minute, SHA-1). A code is good once, half a minute early
 * or late (section 5.2), and spare codes stand in for a lost device, each once.
 */
@Service
public class SecondStep {
  private static final int SECRET_BYTES = 20; // RFC 4226 section 4, R6: 160 bits recommended
  private static final int SPARE_CODES = 8;
  private static final int SPARE_LETTERS = 10;
  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
  private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
  private final SecureRandom random = new SecureRandom();
  private final JdbcClient sql;
  private final Audit audit;
  private final Clock clock;

  SecondStep(JdbcClient sql, Audit audit, Clock clock) {
    this.sql = sql;
    this.audit = audit;
    this.clock = clock;
  }

  /** Whether a person is asked for a code. */
  public boolean isOn(String login) {
    return sql.sql(
            "select exists (select 1 from second_step s join app_user u on u.id = s.user_id"
                + " where u.login = ?)")
        .param(login)
        .query(Boolean.class)
        .single();
  }

  /** Logins of all who are asked for a code. */
  public Set<String> whoseIsOn() {
    return Set.copyOf(
        sql.sql("select u.login from second_step s join app_user u on u.id = s.user_id")
            .query(String.class)
            .list());
  }

  /** A secret for a new device, kept nowhere until a code of it has been seen. */
  public byte[] newSecret() {
    byte[] secret = new byte[SECRET_BYTES];
    random.nextBytes(secret);
    return secret;
  }

  /**
   * Turns it on, when the device shows the right code; what was there before is no longer good.
   *
   * @return the spare codes, kept nowhere; none when the code is not right, and then nothing has
   *     changed
   */
  @Transactional
  public List<String> begin(Person person, byte[] secret, String code) {
    OptionalLong step = step(secret, code, -1);
    if (step.isEmpty()) return List.of();
    forget(person);
    sql.sql("insert into second_step (user_id, secret, last_step) values (?, ?, ?)")
        .params(person.id(), secret, step.getAsLong())
        .update();
    List<String> spare = new ArrayList<>();
    while (spare.size() < SPARE_CODES) {
      StringBuilder letters = new StringBuilder();
      while (letters.length() < SPARE_LETTERS)
        letters.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
      sql.sql("insert into spare_code (user_id, digest) values (?, ?)")
          .params(person.id(), DigestUtils.sha256Hex(letters.toString()))
          .update();
      spare.add(letters.insert(SPARE_LETTERS / 2, '-').toString());
    }
    audit.write(person.login(), "person", person.id(), "turned the second step on", person.login());
    return spare;
  }

  /** Turns it off: by oneself, or by the owner for who has lost the device. */
  @Transactional
  public void end(Person person, String by) {
    forget(person);
    audit.write(by, "person", person.id(), "turned the second step off", person.login());
  }

  private void forget(Person person) {
    sql.sql("delete from second_step where user_id = ?").param(person.id()).update();
    sql.sql("delete from spare_code where user_id = ?").param(person.id()).update();
  }

  private record Kept(long user, byte[] secret, long last) {}

  /** Whether a code is right and was not used; it is used with this. Of two at one moment, one. */
  @Transactional
  public boolean take(String login, String typed) {
    String code = typed.toLowerCase(Locale.ROOT).replaceAll("[\\s-]", "");
    Optional<Kept> kept =
        sql.sql(
                "select s.user_id, s.secret, s.last_step from second_step s"
                    + " join app_user u on u.id = s.user_id where u.login = ? for update")
            .param(login)
            .query((row, n) -> new Kept(row.getLong(1), row.getBytes(2), row.getLong(3)))
            .optional();
    if (kept.isEmpty()) return false;
    OptionalLong step = step(kept.get().secret, code, kept.get().last);
    if (step.isPresent())
      return sql.sql("update second_step set last_step = ? where user_id = ?")
              .params(step.getAsLong(), kept.get().user)
              .update()
          == 1;
    boolean spare =
        sql.sql("delete from spare_code where user_id = ? and digest = ?")
                .params(kept.get().user, DigestUtils.sha256Hex(code))
                .update()
            == 1;
    if (spare) audit.write(login, "person", kept.get().user, "signed in with a spare code", login);
    return spare;
  }

  /** The half minute whose code it is: this one, the one before or the next, after {@code last}. */
  private OptionalLong step(byte[] secret, String code, long last) {
    long length = codes.getTimeStep().toSeconds();
    long now = clock.instant().getEpochSecond() / length;
    return LongStream.rangeClosed(now - 1, now + 1)
        .filter(step -> step > last && code(secret, step * length).equals(code))
        .findFirst();
  }

  private String code(byte[] secret, long second) {
    try {
      return codes.generateOneTimePasswordString(
          new SecretKeySpec(secret, codes.getAlgorithm()), Instant.ofEpochSecond(second));
    } catch (GeneralSecurityException broken) {
      throw new IllegalStateException(broken);
    }
  }

  /** Of which roles it is demanded. */
  public Set<Person.Role> demanded() {
    return new TreeSet<>(
        sql.sql("select role from second_step_role")
            .query((row, n) -> Person.Role.valueOf(row.getString(1)))
            .list());
  }

  /** Demands it of these roles and no others. */
  @Transactional
  public void demand(Collection<Person.Role> roles) {
    sql.sql("delete from second_step_role").update();
    for (Person.Role role : Set.copyOf(roles))
      sql.sql("insert into second_step_role values (?)").param(role.name()).update();
  }
}
