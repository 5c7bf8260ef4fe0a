package zinctally.store.prove;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import zinctally.store.Audit;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;

/**
 * Months, open and closed. They close one after the other; a closed one refuses papers, and no
 * difference in cost is posted into it.
 */
@Repository
public class PeriodStore {
  private static final Map<String, String> WAITING =
      Map.of(
          "RECEIVED_NOT_BILLED", "/prove/received",
          "BILLED_NOT_RECEIVED", "/prove/billed",
          "SENT_NOT_INVOICED", "/prove/sent",
          "BILLED_AHEAD", "/prove/ahead");
  private final JdbcClient sql;
  private final Audit audit;
  private final BookStore books;
  private final TieOutStore tieOut;
  private final Clock clock;

  PeriodStore(JdbcClient sql, BookStore books, TieOutStore tieOut, Clock clock, Audit audit) {
    this.audit = audit;
    this.sql = sql;
    this.books = books;
    this.tieOut = tieOut;
    this.clock = clock;
  }

  /**
   * @param stock minor units at the month's end
   * @param closedAt null while it is open
   * @param mayClose whether it is the next to close
   * @param mayReopen whether it is the last that was closed
   */
  public record Period(
      LocalDate month,
      long papers,
      long stock,
      @Nullable LocalDateTime closedAt,
      String closedBy,
      boolean mayClose,
      boolean mayReopen) {
    public boolean closed() {
      return closedAt != null;
    }

    public LocalDate end() {
      return month.plusMonths(1).minusDays(1);
    }
  }

  /** Every month from the cut-over date to this one, or to the last that has papers. */
  public List<Period> periods() {
    Book book = books.book();
    record Closed(LocalDateTime at, String by) {}
    Map<LocalDate, Closed> closed = new HashMap<>();
    sql.sql("select month, closed_at, closed_by from period")
        .query(
            (row, n) ->
                closed.put(
                    row.getObject(1, LocalDate.class),
                    new Closed(row.getObject(2, LocalDateTime.class), row.getString(3))))
        .list();
    Map<LocalDate, Long> papers = new HashMap<>();
    sql.sql(
            "select date_sub(date, interval day(date) - 1 day) as month, count(*) from paper group by 1")
        .query((row, n) -> papers.put(row.getObject(1, LocalDate.class), row.getLong(2)))
        .list();
    Map<LocalDate, Long> stock = new HashMap<>();
    sql.sql("select month, sum(value) from stock_month group by month")
        .query((row, n) -> stock.put(row.getObject(1, LocalDate.class), row.getLong(2)))
        .list();
    LocalDate last = LocalDate.now(clock).withDayOfMonth(1);
    for (LocalDate month : papers.keySet()) if (month.isAfter(last)) last = month;
    LocalDate next = book.firstOpenDay().withDayOfMonth(1);
    List<Period> periods = new ArrayList<>();
    long worth = 0;
    for (LocalDate month = book.cutOver().withDayOfMonth(1);
        !month.isAfter(last);
        month = month.plusMonths(1)) {
      worth += stock.getOrDefault(month, 0L);
      Closed by = closed.get(month);
      periods.add(
          new Period(
              month,
              papers.getOrDefault(month, 0L),
              worth,
              by == null ? null : by.at,
              by == null ? "" : by.by,
              month.equals(next),
              by != null && month.plusMonths(1).equals(next)));
    }
    return periods;
  }

  /**
   * Something to look at before a month is closed.
   *
   * @param amount minor units; null when it is no matter of money
   */
  public record Unsettled(String what, @Nullable Long amount, String href) {}

  /** What is not settled at the end of a month. */
  public List<Unsettled> unsettled(LocalDate month) {
    LocalDate end = month.plusMonths(1).minusDays(1);
    List<Unsettled> open = new ArrayList<>();
    for (TieOutStore.AccountLine line : tieOut.byAccount(end))
      if (line.book() != line.ledger())
        open.add(
            new Unsettled(
                "Stock book and ledger are apart on " + line.label(),
                line.ledger() - line.book(),
                "/prove?date=" + end));
    for (TieOutStore.GroupLine group : tieOut.byGroup(end))
      if (group.name() != null && group.apart() > 0)
        open.add(
            new Unsettled(
                group.name()
                    + (group.apart() == 1
                        ? ": an item is apart"
                        : ": " + group.apart() + " items are apart"),
                null,
                "/prove?date=" + end + "&group=" + group.group()));
    for (TieOutStore.Control control : tieOut.controls(end))
      if (!control.agrees())
        open.add(
            new Unsettled(
                control.name() + " is not what it should be",
                control.ledger() - control.counted(),
                "/prove?date=" + end));
      else if (WAITING.containsKey(control.role()) && control.ledger() != 0)
        open.add(
            new Unsettled(
                control.name() + " is not empty",
                Math.abs(control.ledger()),
                WAITING.get(control.role()) + "?date=" + end));
    sql.sql(
            """
            select id, kind, json_value(text, '$.fields.date') from draft
            where paper_id is null and json_value(text, '$.fields.date') between ? and ?
            order by id limit 200
            """)
        .params(month.toString(), end.toString())
        .query(
            (row, n) ->
                open.add(
                    new Unsettled(
                        row.getString(2).toLowerCase().replace('_', ' ')
                            + " in draft, dated "
                            + row.getString(3),
                        null,
                        "/drafts/" + row.getLong(1))))
        .list();
    sql.sql(
            """
            select p.id, p.number, i.name, u.value from uncovered_out u
            join cost_event e on e.id = u.event_id join paper p on p.id = e.paper_id
            join item i on i.id = u.item_id where e.date <= ? order by e.date, u.event_id limit 200
            """)
        .param(end)
        .query(
            (row, n) ->
                open.add(
                    new Unsettled(
                        row.getString(2)
                            + " sold "
                            + row.getString(3)
                            + " that has not come yet; its cost is provisional",
                        row.getLong(4),
                        "/papers/" + row.getLong(1))))
        .list();
    tieOut.byHand(end, "STOCK").stream()
        .filter(j -> !j.date().isBefore(month))
        .forEach(
            j ->
                open.add(
                    new Unsettled(
                        j.number() + " was written by hand on " + j.account(),
                        j.amount(),
                        "/papers/" + j.paper())));
    return open;
  }

  /** Why a month was not closed or opened again, as a sentence. */
  public static final class Wrong extends Exception {
    public Wrong(String says) {
      super(says);
    }
  }

  /** What a list of what is unsettled comes to, so that another can be told from it. */
  public static String fingerprint(List<Unsettled> unsettled) {
    return Integer.toHexString(unsettled.hashCode());
  }

  /**
   * Closes the next month. Waits for postings under way, so that none of them falls into it.
   *
   * @param seen the {@link #fingerprint} of what was shown as unsettled; empty when nobody looked
   */
  @Transactional(rollbackFor = Wrong.class)
  public void close(LocalDate month, String seen, String login) throws Wrong {
    LocalDate next = held().firstOpenDay().withDayOfMonth(1);
    if (!month.equals(next))
      throw new Wrong("Months close one after the other; the next is " + name(next) + ".");
    LocalDate end = month.plusMonths(1).minusDays(1);
    if (!end.isBefore(LocalDate.now(clock)))
      throw new Wrong(name(month) + " is not over yet; it can be closed after " + end + ".");
    if (!seen.isEmpty() && !seen.equals(fingerprint(unsettled(month))))
      throw new Wrong(
          "What is unsettled has changed since you looked; look at the list again, then close.");
    sql.sql("update book set closed_to = ? where id = 1").param(end).update();
    sql.sql("insert into period (month, closed_at, closed_by) values (?, ?, ?)")
        .params(month, LocalDateTime.now(clock), login)
        .update();
    audit(login, "closed " + name(month), "");
  }

  /**
   * Closes all months that are open up to one, together: all of them, or none.
   *
   * @param seen the {@link #fingerprint} of what is unsettled at the end of the last
   * @return the months
   */
  @Transactional(rollbackFor = Wrong.class)
  public List<LocalDate> closeThrough(LocalDate last, String seen, String login) throws Wrong {
    List<LocalDate> months = new ArrayList<>();
    for (LocalDate month = held().firstOpenDay().withDayOfMonth(1);
        !month.isAfter(last);
        month = month.plusMonths(1)) {
      close(month, month.equals(last) ? seen : "", login);
      months.add(month);
    }
    if (months.isEmpty()) throw new Wrong(name(last) + " is closed already.");
    return months;
  }

  /** Opens the last closed month again. */
  @Transactional(rollbackFor = Wrong.class)
  public void reopen(LocalDate month, String why, String login) throws Wrong {
    if (why.isBlank()) throw new Wrong("Why is " + name(month) + " opened again? A few words.");
    LocalDate last = held().firstOpenDay().withDayOfMonth(1).minusMonths(1);
    int gone =
        sql.sql("delete from period where month = ? and month = ?").params(month, last).update();
    if (gone == 0) throw new Wrong("Only the month closed last can be opened again.");
    sql.sql("update book set closed_to = ? where id = 1").param(month.minusDays(1)).update();
    audit(login, "opened " + name(month) + " again", why);
  }

  private Book held() {
    sql.sql("select id from book where id = 1 for update").query(Long.class).single();
    return books.book();
  }

  private static String name(LocalDate month) {
    return month.toString().substring(0, 7);
  }

  private void audit(String login, String what, String why) {
    audit.write(login, "period", 0, what, why);
  }
}
