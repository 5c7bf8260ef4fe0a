package zinctally.store.house;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.store.people.Secret;

/**
 * Which book somebody of the house opens as whom. A book's owner knows nothing of keys and need
 * not: a key fits as long as the sign-in in the book may be used and its password is the one it was
 * made with.
 */
public class KeyStore {
  /** As long as a browser takes from the house to the book. */
  private static final Duration LIFE = Duration.ofMinutes(1);

  private final JdbcClient sql;
  private final Clock clock;

  KeyStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * A key.
   *
   * @param login by which its owner is known in the book
   * @param fits digest of what the book kept of the password
   */
  public record Key(long id, String book, String login, String fits) {
    /** Whether it still fits what the book keeps of the password now. */
    public boolean fits(String hash) {
      return fits.equals(DigestUtils.sha256Hex(hash));
    }
  }

  /**
   * Keeps a key; one for the same book and sign-in is replaced.
   *
   * @param person of the house
   * @param hash what the book keeps of the password
   */
  public void keep(long person, String book, String login, String hash) {
    sql.sql(
            """
            insert into house_key (person_id, book, login, fits) values (?, ?, ?, ?)
            on duplicate key update fits = values(fits)
            """)
        .params(person, book, login, DigestUtils.sha256Hex(hash))
        .update();
  }

  /** A key of a person; nobody else's. */
  public Optional<Key> find(long person, long id) {
    return sql.sql("select * from house_key where person_id = ? and id = ?")
        .params(person, id)
        .query(
            (row, n) ->
                new Key(
                    row.getLong("id"),
                    row.getString("book"),
                    row.getString("login"),
                    row.getString("fits")))
        .optional();
  }

  /** Throws a key away. */
  public void drop(long person, long id) {
    sql.sql("delete from house_key where person_id = ? and id = ?").params(person, id).update();
  }

  /**
   * Makes a ticket with which a browser goes from the house into the book, once.
   *
   * @return its secret, which is kept nowhere
   */
  public String ticket(Key key) {
    LocalDateTime now = LocalDateTime.now(clock);
    String secret = Secret.fresh();
    sql.sql("delete from house_ticket where until < ?").param(now).update();
    sql.sql("insert into house_ticket values (?, ?, ?, ?)")
        .params(DigestUtils.sha256Hex(secret), key.book(), key.login(), now.plus(LIFE))
        .update();
    return secret;
  }

  /**
   * Uses a ticket up; of two who use it at one moment one does.
   *
   * @return as whom it lets into the book; empty when it is not good there
   */
  public Optional<String> use(String secret, String book) {
    String digest = DigestUtils.sha256Hex(secret);
    Optional<String> login =
        sql.sql("select login from house_ticket where digest = ? and book = ? and until >= ?")
            .params(digest, book, LocalDateTime.now(clock))
            .query(String.class)
            .optional();
    int used = sql.sql("delete from house_ticket where digest = ?").param(digest).update();
    return used == 1 ? login : Optional.empty();
  }
}
