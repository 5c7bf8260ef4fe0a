package zinctally.store.question;

import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.TEXT;
import static zinctally.store.listing.Listing.Type.TIME;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;

/** Letters that go out, or stay here to be looked at where no mail does. */
@Repository
public class OutboxStore {
  private static final int LONGEST_FAULT = 400;
  private final JdbcClient sql;
  private final Clock clock;

  OutboxStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
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
  @Transactional
  public boolean sendNext(Sender sender) {
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

  public static Listing letters() {
    return new Listing(
        "Outbox",
        "outbox o where true",
        Map.of(),
        List.of(
            new Column("id", "", "o.id", HIDDEN),
            new Column("at", "When", "o.at", TIME),
            new Column("to", "To", "o.sent_to", TEXT),
            new Column("subject", "What", "o.subject", TEXT, "/ask/outbox/{id}"),
            new Column("file", "File", "o.file_name", TEXT, "/ask/outbox/{id}/file"),
            new Column(
                "state",
                "State",
                "case o.state when 'KEPT' then 'kept here' else lower(o.state) end",
                TEXT),
            new Column("fault", "What was wrong", "o.fault", TEXT),
            new Column("login", "By", "o.login", TEXT)),
        "o.id",
        "-at",
        "Nothing has been sent. A question that is kept can be sent every day, week or month.");
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
