package zinctally.store.question;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/** Letters that go out, or stay here to be looked at where no mail does. */
@Repository
public class OutboxStore {
  private static final int LONGEST_FAULT = 400;
  private final JdbcClient sql;
  private final TransactionTemplate once;
  private final Clock clock;

  OutboxStore(JdbcClient sql, TransactionTemplate once, Clock clock) {
    this.sql = sql;
    this.once = once;
    this.clock = clock;
  }

  /** A letter with a file. */
  public record Letter(
      long id,
      String to,
      String subject,
      String words,
      String fileName,
      byte[] file,
      String login) {}

  /**
   * @param goes whether mail goes out; else it stays here
   */
  public void add(Letter letter, boolean goes) {
    sql.sql(
            "insert into outbox (at, sent_to, subject, words, file_name, file, login, state)"
                + " values (?, ?, ?, ?, ?, ?, ?, ?)")
        .params(LocalDateTime.now(clock), letter.to(), letter.subject(), letter.words())
        .params(letter.fileName(), letter.file(), letter.login(), goes ? "WAITS" : "KEPT")
        .update();
  }

  public Optional<Letter> find(long id) {
    return sql.sql("select * from outbox where id = ?")
        .param(id)
        .query(OutboxStore::row)
        .optional();
  }

  /** Has the next letter sent, if one waits; only one process at a time sends it. */
  public boolean sendNext(Sender sender) {
    return Boolean.TRUE.equals(once.execute(status -> sent(sender)));
  }

  private boolean sent(Sender sender) {
    Optional<Letter> next =
        sql.sql(
                "select * from outbox where state = 'WAITS' order by id limit 1 for update skip locked")
            .query(OutboxStore::row)
            .optional();
    if (next.isEmpty()) return false;
    String fault = sender.send(next.get());
    sql.sql("update outbox set state = ?, sent_at = ?, fault = ? where id = ?")
        .params(fault.isEmpty() ? "SENT" : "FAILED", LocalDateTime.now(clock))
        .params(
            fault.length() > LONGEST_FAULT ? fault.substring(0, LONGEST_FAULT) : fault,
            next.get().id())
        .update();
    return true;
  }

  /** Sends a letter. */
  public interface Sender {
    /** Empty when it went; else what was wrong. */
    String send(Letter letter);
  }

  private static Letter row(ResultSet row, int n) throws SQLException {
    return new Letter(
        row.getLong("id"),
        row.getString("sent_to"),
        row.getString("subject"),
        row.getString("words"),
        row.getString("file_name"),
        row.getBytes("file"),
        row.getString("login"));
  }
}
