package zinctally.store.sell;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Reminders of what is past its due date: drafted for all, looked at, sent one by one. */
@Repository
public class ReminderStore {
  private final JdbcClient sql;
  private final Clock clock;

  ReminderStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * @param words what is written above the list of what is due
   * @param sentAt null while it is a draft
   * @param before how many were sent to them before it
   * @param dues what is late now; once it is sent, what was late then
   */
  public record Reminder(
      long id, long customer, String words, LocalDateTime sentAt, int before, List<Due> dues) {
    /** Minor units past their due date. */
    public long sum() {
      return dues.stream().mapToLong(Due::open).sum();
    }
  }

  /**
   * @param open minor units
   */
  public record Due(String number, LocalDate date, LocalDate due, long open) {}

  /**
   * Drafts one for each customer who owes something past its date and has no draft; pressed by two
   * at once, one is made.
   */
  public int draft(String login) {
    return sql.sql(
            """
            insert ignore into reminder (party_id, made_at, made_by)
            select w.id, :now, :login from party w
            where w.kind = 'CUSTOMER' and exists (
                select 1 from open_item o
                where o.party_id = w.id and o.open > 0 and o.due < :today)
              and not exists (
                select 1 from reminder r where r.party_id = w.id and r.sent_at is null)
            """)
        .param("now", LocalDateTime.now(clock))
        .param("today", LocalDate.now(clock))
        .param("login", login)
        .update();
  }

  public Optional<Reminder> find(long id) {
    return sql.sql(
            """
            select r.*, (select count(*) from reminder b
              where b.party_id = r.party_id and b.sent_at is not null and b.id < r.id) as sent
            from reminder r where r.id = ?
            """)
        .param(id)
        .query(
            (row, n) ->
                new Reminder(
                    id,
                    row.getLong("party_id"),
                    row.getString("words"),
                    row.getObject("sent_at", LocalDateTime.class),
                    row.getInt("sent"),
                    row.getObject("sent_at") == null
                        ? late(row.getLong("party_id"))
                        : askedFor(id)))
        .optional();
  }

  private List<Due> late(long customer) {
    return dues(
        sql.sql(
                """
                select number, date, due, open from open_item
                where party_id = ? and open > 0 and due < ? order by due, id limit 300
                """)
            .params(customer, LocalDate.now(clock)));
  }

  private List<Due> askedFor(long id) {
    return dues(
        sql.sql(
                "select number, date, due, open from reminder_due where reminder_id = ? order by line")
            .param(id));
  }

  private static List<Due> dues(JdbcClient.StatementSpec of) {
    return of.query(
            (row, n) ->
                new Due(
                    row.getString(1),
                    row.getObject(2, LocalDate.class),
                    row.getObject(3, LocalDate.class),
                    row.getLong(4)))
        .list();
  }

  /** Keeps the words of a draft; one that is sent stays as it is. */
  public boolean keep(long id, String words) {
    return sql.sql("update reminder set words = ? where id = ? and sent_at is null")
            .params(words, id)
            .update()
        > 0;
  }

  /**
   * Marks a draft as sent and keeps what it asked for; one that is sent stays as it is.
   *
   * @return whether it is sent; not when nothing is late any more
   */
  @Transactional
  public boolean sent(long id) {
    int marked =
        sql.sql("update reminder set sent_at = ? where id = ? and sent_at is null")
            .params(LocalDateTime.now(clock), id)
            .update();
    if (marked == 0) return true;
    boolean asks =
        sql.sql(
                    """
            insert into reminder_due (reminder_id, line, number, date, due, open)
            select r.id, row_number() over (order by o.due, o.id), o.number, o.date, o.due, o.open
            from reminder r join open_item o on o.party_id = r.party_id
            where r.id = ? and o.open > 0 and o.due < ? order by o.due, o.id limit 300
            """)
                .params(id, LocalDate.now(clock))
                .update()
            > 0;
    if (!asks) sql.sql("update reminder set sent_at = null where id = ?").param(id).update();
    return asks;
  }

  public void discard(long id) {
    sql.sql("delete from reminder where id = ? and sent_at is null").param(id).update();
  }
}
