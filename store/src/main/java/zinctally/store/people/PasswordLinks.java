package zinctally.store.people;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;

/** Links by which somebody who has forgotten a password sets another, once, within a day. */
@Service
public class PasswordLinks {
  private static final Duration LIFE = Duration.ofDays(1);
  private final JdbcClient sql;
  private final Audit audit;
  private final Clock clock;

  PasswordLinks(JdbcClient sql, Audit audit, Clock clock) {
    this.sql = sql;
    this.audit = audit;
    this.clock = clock;
  }

  /**
   * Makes a link for a person; one made earlier is no longer good.
   *
   * @return its secret, which is kept nowhere
   */
  @Transactional
  public String make(Person person, String by) {
    String secret = Secret.fresh();
    sql.sql("delete from password_link where user_id = ? or until < ?")
        .params(person.id(), LocalDateTime.now(clock))
        .update();
    sql.sql("insert into password_link (digest, user_id, made_by, until) values (?, ?, ?, ?)")
        .params(DigestUtils.sha256Hex(secret), person.id(), by, LocalDateTime.now(clock).plus(LIFE))
        .update();
    audit.write(by, "person", person.id(), "made a link for a new password", person.login());
    return secret;
  }

  /** Whose link this is, while it is good and the person may sign in. */
  public Optional<String> whose(String secret) {
    return sql.sql(
            """
            select u.login from password_link l join app_user u on u.id = l.user_id and u.active
            where l.digest = ? and l.until >= ?
            """)
        .params(DigestUtils.sha256Hex(secret), LocalDateTime.now(clock))
        .query(String.class)
        .optional();
  }

  /**
   * Sets the password of whose link it is; of two who use it at one moment one does.
   *
   * @param hash of the new password
   * @return the login; empty when the link is not good, and then nothing is changed
   */
  @Transactional
  public Optional<String> use(String secret, String hash) {
    Optional<String> whose = whose(secret);
    int used =
        sql.sql("delete from password_link where digest = ?")
            .param(DigestUtils.sha256Hex(secret))
            .update();
    if (used == 0 || whose.isEmpty()) return Optional.empty();
    sql.sql("update app_user set password = ? where login = ?").params(hash, whose.get()).update();
    audit.write(whose.get(), "person", 0, "set a new password by a link", "");
    return whose;
  }
}
