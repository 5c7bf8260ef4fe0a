package zinctally.store.sell;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;

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
   * @param cash what sales and returns through it have brought in cash
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
              (select coalesce(sum(l.amount), 0) from paper s join journal j on j.paper_id = s.id
               join journal_line l on l.journal_id = j.id
               join tender c on c.kind = 'CASH' and c.account_id = l.account_id
               where s.till_id = t.id) as cash,
              (select count(*) from paper s where s.till_id = t.id and s.kind = 'COUNTER_SALE'
               and s.state = 'POSTED') as sales
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
   * Opens a till; one that is open at the place already is taken over.
   *
   * @param openingFloat cash that lies in it
   */
  public long open(String place, long openingFloat, String login) {
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
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.sql(
            "insert into till (place_id, opened_at, opened_by, opening_float)"
                + " select id, ?, ?, ? from place where name = ?")
        .params(LocalDateTime.now(clock), login, openingFloat, place)
        .update(key, "id");
    return key.getKey().longValue();
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
  String account(String purpose) {
    return sql.sql(
            "select a.code from tender t join account a on a.id = t.account_id where t.kind = ?")
        .param(purpose)
        .query(String.class)
        .single();
  }

  /** A sale at a place in which a person has not typed a line yet: its draft. */
  public Optional<Long> empty(String place, String login) {
    return sql.sql(
            """
            select id from draft where kind = 'COUNTER_SALE' and paper_id is null and saved_by = ?
              and json_value(text, '$.fields.place') = ? and json_length(text, '$.rows') = 0
            order by id desc limit 1
            """)
        .params(login, place)
        .query(Long.class)
        .optional();
  }

  /** Sales that are put aside: their drafts, latest first. */
  public List<Long> held(String place) {
    return sql.sql(
            """
            select id from draft where kind = 'COUNTER_SALE' and paper_id is null
              and json_value(text, '$.fields.place') = ? and json_length(text, '$.rows') > 0
            order by saved_at desc, id desc limit 50
            """)
        .param(place)
        .query(Long.class)
        .list();
  }
}
