package zinctally.store.count;

import java.time.LocalDateTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import zinctally.core.number.Quantity;
import zinctally.store.Audit;
import zinctally.store.Refused;
import zinctally.store.Retrying;

/**
 * Writes what people count. Each entry is kept with what the book held at that moment, so that
 * trade may go on meanwhile; entries of one thing add up, whoever made them.
 */
@Service
public class Counting {
  private final JdbcClient sql;
  private final CountLines lines;
  private final Audit audit;
  private final Retrying retrying;

  Counting(JdbcClient sql, CountLines lines, Audit audit, Retrying retrying) {
    this.sql = sql;
    this.lines = lines;
    this.audit = audit;
    this.retrying = retrying;
  }

  /**
   * Something counted.
   *
   * @param lot zero for an item without
   * @param quantity from zero
   * @param spot where it lay, for people; may be empty
   * @param at when it was counted, if that is not now
   */
  public record Counted(
      long item, long lot, Quantity quantity, String spot, @Nullable LocalDateTime at) {}

  /**
   * Adds what was counted to what is counted of it already; what is not on the sheet comes on it.
   *
   * @throws Refused when the sheet is not open, a serial number is counted twice, or a second count
   *     is by somebody who made the first
   */
  public CountLine enter(long sheet, Counted counted, String login) {
    return retrying.run(
        () -> {
          boolean other = held(sheet).otherPerson;
          sql.sql("insert ignore into count_line (sheet_id, item_id, lot_id) values (?, ?, ?)")
              .params(sheet, counted.item(), counted.lot())
              .update();
          CountLine line = lines.of(sheet, counted.item(), counted.lot()).orElseThrow();
          line = locked(sheet, line.id());
          if (other && line.round() > 1 && countedBefore(line, login))
            refuse("Somebody else counts " + line.label() + " the second time, not who did first.");
          if (line.serial()) once(sheet, line, counted);
          Quantity expected = expected(sheet, line, counted.at());
          sql.sql(
                  """
                  insert into count_entry (line_id, round, quantity, expected, spot, by_login, at)
                  values (?, ?, ?, ?, ?, ?, coalesce(?, now(3)))
                  """)
              .params(line.id(), line.round(), counted.quantity().micros(), expected.micros())
              .params(counted.spot(), login)
              .param(counted.at())
              .update();
          sql.sql(
                  """
                  update count_line set counted = coalesce(counted, 0) + ?, expected = ?,
                    counted_at = coalesce(?, now(3)), counted_by = ?, accepted = false where id = ?
                  """)
              .params(counted.quantity().micros(), expected.micros())
              .param(counted.at())
              .params(login, line.id())
              .update();
          return lines.find(sheet, line.id()).orElseThrow();
        });
  }

  private record Held(boolean otherPerson) {}

  /** The sheet, held open until the transaction ends; others may count on it, too. */
  private Held held(long sheet) {
    Optional<Held> open =
        sql.sql(
                """
                select other_person from count_sheet where id = ? and state = 'OPEN'
                lock in share mode
                """)
            .param(sheet)
            .query((row, n) -> new Held(row.getBoolean(1)))
            .optional();
    return open.orElseThrow(
        () ->
            Refused.because("Count " + sheet + " is not open any more; nothing was added to it."));
  }

  private CountLine locked(long sheet, long line) {
    boolean there =
        sql.sql("select id from count_line where id = ? and sheet_id = ? for update")
            .params(line, sheet)
            .query(Long.class)
            .optional()
            .isPresent();
    if (!there) refuse("Count " + sheet + " has no such line.");
    return lines.find(sheet, line).orElseThrow();
  }

  private boolean countedBefore(CountLine line, String login) {
    return sql.sql(
            """
            select exists (select 1 from count_entry
              where line_id = ? and round < ? and by_login = ? and taken_back_by = '')
            """)
        .params(line.id(), line.round(), login)
        .query(Boolean.class)
        .single();
  }

  /** A serial number is one thing: it is here, or elsewhere, and here only once. */
  private void once(long sheet, CountLine line, Counted counted) {
    Quantity before = line.counted() == null ? Quantity.ZERO : line.counted();
    if (before.plus(counted.quantity()).micros() > Quantity.ONE)
      refuse(line.lotCode() + " of " + line.name() + " is counted already.");
    if (counted.quantity().signum() == 0) return;
    sql.sql(
            """
            select concat(p.name, ', count ', s.id) from count_line l
            join count_sheet s on s.id = l.sheet_id and s.state in ('OPEN', 'CLOSED')
            join place p on p.id = s.place_id
            where l.lot_id = ? and l.sheet_id <> ? and l.counted > 0 limit 1
            """)
        .params(line.lot(), sheet)
        .query(String.class)
        .optional()
        .ifPresent(
            where ->
                refuse(
                    line.lotCode()
                        + " of "
                        + line.name()
                        + " was counted at "
                        + where
                        + "; it cannot be in two places. Take the wrong one back."));
  }

  /** What the book held when it was counted. */
  private Quantity expected(long sheet, CountLine line, @Nullable LocalDateTime at) {
    long now =
        sql.sql(
                "select "
                    + CountLines.HELD_NOW
                    + " from count_line l join count_sheet s on s.id = l.sheet_id where l.id = ?")
            .param(line.id())
            .query(Long.class)
            .single();
    if (at == null) return new Quantity(now);
    long since =
        sql.sql(
                """
                select coalesce(sum(m.quantity), 0) from quantity_move m
                join count_sheet s on s.id = ? and s.place_id = m.place_id
                where m.item_id = ? and m.at > ? and (? = 0 or m.lot_id = ?)
                """)
            .params(sheet, line.item())
            .param(at)
            .params(line.lot(), line.lot())
            .query(Long.class)
            .single();
    return new Quantity(Math.subtractExact(now, since));
  }

  /** Says that an entry was wrong: it counts no more, and stays to be seen. */
  public CountLine takeBack(long sheet, long line, long entry, String login) {
    return retrying.run(
        () -> {
          held(sheet);
          CountLine of = locked(sheet, line);
          int taken =
              sql.sql(
                      """
                      update count_entry set taken_back_by = ?
                      where id = ? and line_id = ? and round = ? and taken_back_by = ''
                      """)
                  .params(login, entry, line, of.round())
                  .update();
          if (taken == 0) refuse("That entry counts no more already.");
          sql.sql(
                  """
                  update count_line l set accepted = false,
                    counted = (select sum(e.quantity) from count_entry e
                      where e.line_id = l.id and e.round = l.round and e.taken_back_by = '')
                  where l.id = ?
                  """)
              .param(line)
              .update();
          sql.sql(
                  """
                  update count_line set expected = null, counted_at = null, counted_by = ''
                  where id = ? and counted is null
                  """)
              .param(line)
              .update();
          return lines.find(sheet, line).orElseThrow();
        });
  }

  /** Has it counted anew from nothing. */
  public void again(long sheet, long line) {
    change(
        sheet,
        line,
        """
        update count_line set round = round + 1, counted = null, expected = null, counted_at = null,
          counted_by = '', accepted = false where id = ?
        """);
  }

  /** Takes a line as it was counted, without a second count. */
  public void accept(long sheet, long line, String login) {
    change(sheet, line, "update count_line set accepted = true where id = ?");
    audit.write(login, "count", sheet, "accept", "line " + line);
  }

  private void change(long sheet, long line, String update) {
    retrying.run(
        () -> {
          held(sheet);
          locked(sheet, line);
          return sql.sql(update).param(line).update();
        });
  }

  /**
   * Says why a line is apart.
   *
   * @param reason the reason's id; null for none
   */
  public void because(long sheet, long line, @Nullable Long reason) {
    retrying.run(
        () -> {
          held(sheet);
          return sql.sql("update count_line set reason_id = ? where id = ? and sheet_id = ?")
              .param(reason)
              .params(line, sheet)
              .update();
        });
  }

  private static void refuse(String says) {
    throw Refused.because(says);
  }
}
