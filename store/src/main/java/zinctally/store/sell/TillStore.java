package zinctally.store.sell;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.core.papers.PaperKind;
import zinctally.store.sql.NewRow;

/** Tills: opened with a float, closed with what was counted. Amounts are minor units. */
@Repository
public class TillStore {
  private final JdbcClient sql;
  private final Clock clock;

  TillStore(JdbcClient sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /**
   * @param cash what all papers through it have moved in cash
   * @param sales how many there were
   */
  public record Till(
      long id,
      String place,
      LocalDateTime openedAt,
      String openedBy,
      long openingFloat,
      long cash,
      long sales) {
    /** What should lie in it. */
    public long expected() {
      return openingFloat + cash;
    }
  }

  private Optional<Till> some(String which, Object value) {
    return sql.sql(
            """
            select t.*, p.name as place,
              (select coalesce(sum(l.amount), 0) from journal j
               straight_join journal_line l on l.journal_id = j.id
               straight_join tender c on c.kind = 'CASH' and c.account_id = l.account_id
               where j.till_id = t.id) as cash,
              (select count(*) from paper s join paper_kind k on k.kind = s.kind and k.counter
               where s.till_id = t.id and s.state = 'POSTED') as sales
            from till t join place p on p.id = t.place_id where\s"""
                + which
                + " order by t.id desc limit 1")
        .param(value)
        .query(
            (row, n) ->
                new Till(
                    row.getLong("id"),
                    row.getString("place"),
                    row.getObject("opened_at", LocalDateTime.class),
                    row.getString("opened_by"),
                    row.getLong("opening_float"),
                    row.getLong("cash"),
                    row.getLong("sales")))
        .optional();
  }

  /** Where tills are open. */
  public List<String> openPlaces() {
    return sql.sql(
            "select p.name from till t join place p on p.id = t.place_id"
                + " where t.closed_at is null order by t.id")
        .query(String.class)
        .list();
  }

  /** The till a person has open. */
  public Optional<Till> of(String login) {
    return some("t.closed_at is null and t.opened_by = ?", login);
  }

  /**
   * A till, held until the transaction ends.
   *
   * @throws IllegalStateException when it is closed
   */
  Till hold(long id) {
    sql.sql("select id from till where id = ? for update").param(id).query(Long.class).single();
    return some("t.closed_at is null and t.id = ?", id)
        .orElseThrow(() -> new IllegalStateException("till " + id + " is closed"));
  }

  /**
   * Cash that went through a till, or came out of it below zero, minor units.
   *
   * @param words what the paper's line says
   */
  public record Movement(
      LocalDateTime at, long paper, String number, String words, String by, long amount) {}

  /** All that moved its cash since it was opened, latest first. */
  public List<Movement> movements(long till) {
    return sql.sql(
            """
            select j.id, p.posted_at, p.id as paper, p.number, p.kind, p.posted_by, j.reverses,
              max(l.memo) as memo, sum(l.amount) as amount
            from journal j straight_join journal_line l on l.journal_id = j.id
            straight_join tender c on c.kind = 'CASH' and c.account_id = l.account_id
            join paper p on p.id = j.paper_id
            where j.till_id = ? group by j.id having amount <> 0 order by j.id desc
            """)
        .param(till)
        .query(
            (row, n) ->
                new Movement(
                    row.getObject("posted_at", LocalDateTime.class),
                    row.getLong("paper"),
                    row.getString("number"),
                    row.getBoolean("reverses")
                        ? "taken back"
                        : row.getString("memo").isEmpty()
                            ? PaperKind.valueOf(row.getString("kind")).words()
                            : row.getString("memo"),
                    row.getString("posted_by"),
                    row.getLong("amount")))
        .list();
  }

  /**
   * Opens a till; one that is open at the place already is taken over. Whoever comes second at the
   * same moment finds it open.
   *
   * @param openingFloat cash that lies in it
   */
  @Transactional
  public long open(String place, long openingFloat, String login) {
    sql.sql("select id from place where name = ? for update")
        .param(place)
        .query(Long.class)
        .single();
    Optional<Long> there =
        sql.sql(
                "select t.id from till t join place p on p.id = t.place_id"
                    + " where p.name = ? and t.closed_at is null order by t.id desc limit 1")
            .param(place)
            .query(Long.class)
            .optional();
    if (there.isPresent()) {
      sql.sql("update till set opened_by = ? where id = ?").params(login, there.get()).update();
      return there.get();
    }
    return NewRow.id(
        sql.sql(
                "insert into till (place_id, opened_at, opened_by, opening_float)"
                    + " select id, ?, ?, ? from place where name = ?")
            .params(LocalDateTime.now(clock), login, openingFloat, place));
  }

  void closed(long id, long expected, long counted, String login) {
    sql.sql("update till set closed_at = ?, closed_by = ?, expected = ?, counted = ? where id = ?")
        .params(LocalDateTime.now(clock), login, expected, counted, id)
        .update();
  }

  void difference(long id, long journal) {
    sql.sql("update till set paper_id = ? where id = ?").params(journal, id).update();
  }

  /** The code of the account for a purpose of the counter: {@code CASH}, {@code GAP} ... */
  public String account(String purpose) {
    return sql.sql(
            "select a.code from tender t join account a on a.id = t.account_id where t.kind = ?")
        .param(purpose)
        .query(String.class)
        .single();
  }

  /** Throws away sales that a person has begun and typed nothing in for a day. */
  public void dropEmpty(String login) {
    sql.sql(
            """
            delete from draft where kind in (select kind from paper_kind where counter)
              and paper_id is null and begun_by = ?
              and json_length(text, '$.rows') = 0 and saved_at < ?
            """)
        .params(login, LocalDateTime.now(clock).minusDays(1))
        .update();
  }

  /** Who sold last at the counter, of those a person wrote: their initials; empty for none. */
  public String lastSeller(String login) {
    return sql.sql(
            """
            select coalesce(json_value(text, '$.fields.seller'), '') from draft
            where kind in (select kind from paper_kind where counter) and begun_by = ?
              and paper_id is not null
            order by id desc limit 1
            """)
        .param(login)
        .query(String.class)
        .optional()
        .orElse("");
  }

  /** Sales that are put aside: their drafts, latest first. */
  public List<Long> held(String place) {
    return sql.sql(
            """
            select id from draft where kind in (select kind from paper_kind where counter)
              and paper_id is null
              and json_value(text, '$.fields.place') = ? and json_length(text, '$.rows') > 0
            order by saved_at desc, id desc limit 50
            """)
        .param(place)
        .query(Long.class)
        .list();
  }
}
