package zinctally.store.prove;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.statement.Known;

/** Stock book held against ledger at a date. Values are minor units. */
@Repository
public class TieOutStore {
  private final JdbcClient sql;

  TieOutStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * Items of one group with worth or balance at a date; of no group, what in the ledger names no
   * item.
   *
   * @param group id and name; zero and null for what names no item
   * @param items how many
   * @param apart how many of them, or of journals that name no item, are not the same in both
   */
  public record GroupLine(
      long group, @Nullable String name, long book, long ledger, int items, int apart) {}

  /** One item, or what in the ledger names no item, when {@code item} is zero. */
  public record ItemLine(long item, String code, String name, long book, long ledger) {
    public long apart() {
      return ledger - book;
    }
  }

  /**
   * Each item once, added up where it lies before it comes together: years and months before from
   * totals, the rest of the month from entries, less what was entered after a moment.
   */
  private static final String BY_ITEM =
      """
      (select u.item_id, sum(u.book) as book, sum(u.ledger) as ledger from (
         select item_id, sum(value) as book, 0 as ledger from item_year
         where year < :year group by item_id
         union all
         select item_id, sum(value), 0 from item_month
         where month >= makedate(:year, 1) and month < :month group by item_id
         union all
         select item_id, sum(value), 0 from cost_entry
         where posting_date between :month and :date group by item_id
         union all
         select item_id, 0, sum(amount) from stock_account_year
         where year < :year group by item_id
         union all
         select item_id, 0, sum(amount) from stock_account_month
         where month >= makedate(:year, 1) and month < :month group by item_id
         union all
         select l.item_id, 0, sum(l.amount)
         from journal_line l force index (line_added_up)
         straight_join account a on a.id = l.account_id and a.role = 'STOCK'
         where l.date between :month and :date group by l.item_id
         union all
         select item_id, -value, 0 from cost_entry
         where entered_at > :known and posting_date <= :date
         union all
         select l.item_id, 0, -l.amount from journal j
         straight_join journal_line l on l.journal_id = j.id
         straight_join account a on a.id = l.account_id and a.role = 'STOCK'
         where j.entered_at > :known and j.date <= :date) u
       group by u.item_id having book <> 0 or ledger <> 0) t
      left join item i on i.id = t.item_id
      left join item_group g on g.id = i.group_id
      """;

  private JdbcClient.StatementSpec asked(
      String statement, LocalDate date, Optional<LocalDateTime> known) {
    return sql.sql(statement)
        .param("year", date.getYear())
        .param("month", date.withDayOfMonth(1))
        .param("date", date)
        .param("known", known.orElse(Known.NOW));
  }

  /** Every group with worth or balance at the end of {@code date}. */
  public List<GroupLine> byGroup(LocalDate date) {
    return byGroup(date, Optional.empty());
  }

  /**
   * The same as it was known at a moment: without what was entered later.
   *
   * @param known empty for all that is known now
   */
  public List<GroupLine> byGroup(LocalDate date, Optional<LocalDateTime> known) {
    return asked(
            "select g.id, g.name, sum(t.book), sum(t.ledger), count(i.id),"
                + " sum(t.book <> t.ledger) from "
                + BY_ITEM
                + " group by g.id order by g.name",
            date,
            known)
        .query(
            (row, n) ->
                new GroupLine(
                    row.getLong(1),
                    row.getString(2),
                    row.getLong(3),
                    row.getLong(4),
                    row.getInt(5),
                    row.getInt(6)))
        .list();
  }

  /**
   * Every item of a group with worth or balance at the end of {@code date}, what is apart first.
   *
   * @param group zero for what names no item
   * @param known empty for all that is known now
   */
  public List<ItemLine> byItem(LocalDate date, Optional<LocalDateTime> known, long group) {
    return asked(
            "select t.item_id, i.code, i.name, t.book, t.ledger from "
                + BY_ITEM
                + " where coalesce(g.id, 0) = :group order by t.book = t.ledger, i.code",
            date,
            known)
        .param("group", group)
        .query(
            (row, n) ->
                new ItemLine(
                    row.getLong(1),
                    row.getString(2),
                    row.getString(3),
                    row.getLong(4),
                    row.getLong(5)))
        .list();
  }

  /** One stock account. */
  public record AccountLine(long account, String label, long book, long ledger) {}

  /** Every stock account with worth or balance at the end of {@code date}. */
  public List<AccountLine> byAccount(LocalDate date) {
    return byAccount(date, Optional.empty());
  }

  /** The same as it was known at a moment: without what was entered later. */
  public List<AccountLine> byAccount(LocalDate date, Optional<LocalDateTime> known) {
    return sql.sql(
            """
            select a.id, concat(a.code, ' ', a.name) as label, sum(t.book) as book,
              sum(t.ledger) as ledger
            from (
              select account_id, value as book, 0 as ledger from stock_month where month < :month
              union all
              select account_id, value, 0 from cost_entry where posting_date between :month and :date
              union all
              select account_id, 0, debit - credit from account_month where month < :month
              union all
              select l.account_id, 0, l.amount from journal_line l force index (line_added_up)
              where l.date between :month and :date
              union all
              select account_id, -value, 0 from cost_entry
              where entered_at > :known and posting_date <= :date
              union all
              select l.account_id, 0, -l.amount from journal j
              straight_join journal_line l on l.journal_id = j.id
              where j.entered_at > :known and j.date <= :date) t
            join account a on a.id = t.account_id where a.role = 'STOCK'
            group by a.id order by a.code
            """)
        .param("month", date.withDayOfMonth(1))
        .param("date", date)
        .param("known", known.orElse(Known.NOW))
        .query(
            (row, n) ->
                new AccountLine(
                    row.getLong("id"),
                    row.getString("label"),
                    row.getLong("book"),
                    row.getLong("ledger")))
        .list();
  }

  /** A journal by hand on a control account, and what is left of it at a date. */
  public record ByHand(
      long paper,
      String number,
      LocalDate date,
      String account,
      long item,
      String itemName,
      long amount,
      String why) {}

  public List<ByHand> byHand(LocalDate date, String role) {
    return sql.sql(
            """
            select p.id, p.number, min(l.date), a.code, a.name, l.item_id, i.name as item_name,
              sum(l.amount) as amount,
              json_value(v.text, '$.fields.override') as why
            from paper_kind k straight_join paper p on p.kind = k.kind
            straight_join journal j on j.paper_id = p.id
            straight_join journal_line l force index (line_by_journal) on l.journal_id = j.id
            straight_join account a on a.id = l.account_id
            straight_join paper_version v on v.paper_id = p.id and v.version = p.version
            left join item i on i.id = l.item_id
            where k.by_hand and a.role = ? and l.date <= ?
            group by p.id, a.id, l.item_id having amount <> 0 order by min(l.date), p.id
            """)
        .params(role, date)
        .query(
            (row, n) ->
                new ByHand(
                    row.getLong(1),
                    row.getString(2),
                    row.getObject(3, LocalDate.class),
                    row.getString(4) + " " + row.getString(5),
                    row.getLong(6),
                    row.getString(7),
                    row.getLong(8),
                    row.getString(9)))
        .list();
  }

  /** A control account against what it is the sum of. */
  public record Control(String name, String role, long ledger, long counted) {
    public boolean agrees() {
      return ledger == counted;
    }
  }

  /**
   * Trade receivables and payables against open items, the accounts of goods and papers that wait
   * for each other against what is awaited, and Opening clearing against zero. What was open at a
   * date is what is open now, less what came and was settled since.
   */
  public List<Control> controls(LocalDate date) {
    return sql.sql(
            """
            select a.name, a.role,
              (select coalesce(sum(m.debit - m.credit), 0) from account_month m
               where m.account_id = a.id and m.month < :month)
              + coalesce(n.amount, 0) as ledger, coalesce(t.counted, 0) as counted
            from account a left join (
              select account_id, sum(amount) as amount from journal_line force index (line_added_up)
              where date between :month and :date group by account_id) n on n.account_id = a.id
            left join (
              select if(w.kind = 'CUSTOMER', 'RECEIVABLES', 'PAYABLES') as role,
                sum(c.amount) as counted from (
                select party_id, open as amount from open_item where open < 0 or open > 0
                union all
                select o.party_id, -o.amount from paper p join open_item o on o.paper_id = p.id
                where p.date > :date
                union all
                select o.party_id, -s.amount from settlement s
                join open_item o on o.id = s.open_item_id where s.date > :date) c
              join party w on w.id = c.party_id group by 1
              union all
              select w.role, sum(w.sign * b.value) from (
                select what, open_value as value from awaited
                where what in (select what from awaits_role where not by_value) and open_quantity > 0
                union all
                select what, open_value from awaited
                where what in (select what from awaits_role where by_value) and open_value <> 0
                union all
                select a.what, -a.value from paper p join awaited a on a.paper_id = p.id
                where p.date > :date
                union all
                select a.what, f.value from fulfilment f join awaited a on a.id = f.awaited_id
                where f.date > :date) b
              join awaits_role w on w.what = b.what
              group by w.role) t on t.role = a.role
            where a.active and (a.role in ('RECEIVABLES', 'PAYABLES', 'OPENING_CLEARING')
              or a.role in (select role from awaits_role))
            order by a.code
            """)
        .param("month", date.withDayOfMonth(1))
        .param("date", date)
        .query(
            (row, n) ->
                new Control(row.getString(1), row.getString(2), row.getLong(3), row.getLong(4)))
        .list();
  }

  /** Worth and balance at the end of a day. */
  public record DayLine(LocalDate day, long book, long ledger) {}

  /** Day by day through the month of {@code date}, up to it. */
  public List<DayLine> days(LocalDate date) {
    LocalDate first = date.withDayOfMonth(1);
    long[] at =
        sql.sql(
                """
                select (select coalesce(sum(value), 0) from stock_month where month < :month),
                  (select coalesce(sum(m.debit - m.credit), 0) from account_month m
                   join account a on a.id = m.account_id where a.role = 'STOCK' and m.month < :month)
                """)
            .param("month", first)
            .query((row, n) -> new long[] {row.getLong(1), row.getLong(2)})
            .single();
    var moves =
        sql.sql(
                """
                select day, sum(book), sum(ledger) from (
                  select posting_date as day, value as book, 0 as ledger from cost_entry
                  where posting_date between :first and :date
                  union all
                  select l.date, 0, l.amount from journal_line l force index (line_added_up)
                  straight_join account a on a.id = l.account_id and a.role = 'STOCK'
                  where l.date between :first and :date) t
                group by day
                """)
            .param("first", first)
            .param("date", date)
            .query(
                (row, n) ->
                    new DayLine(row.getObject(1, LocalDate.class), row.getLong(2), row.getLong(3)))
            .list();
    java.util.Map<LocalDate, DayLine> byDay = new java.util.HashMap<>();
    moves.forEach(m -> byDay.put(m.day(), m));
    List<DayLine> days = new java.util.ArrayList<>();
    for (LocalDate day = first; !day.isAfter(date); day = day.plusDays(1)) {
      DayLine move = byDay.get(day);
      if (move != null) {
        at[0] += move.book();
        at[1] += move.ledger();
      }
      days.add(new DayLine(day, at[0], at[1]));
    }
    return days;
  }
}
