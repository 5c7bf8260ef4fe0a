package zinctally.store.prove;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.OrderListings;
import zinctally.store.listing.SellListings;

/** What waits, and how the month goes. Amounts are minor units. */
@Repository
public class DayStore {
  private final JdbcClient sql;
  private final BookStore books;

  DayStore(JdbcClient sql, BookStore books) {
    this.sql = sql;
    this.books = books;
  }

  /** A matter that waits. */
  public record Waiting(
      String what, String aside, @Nullable Long amount, String next, String href) {}

  public long underReorder() {
    Listing running = OrderListings.toOrder(books.book().coin());
    return sql.sql("select count(*) from " + running.from())
        .params(running.params())
        .query(Long.class)
        .single();
  }

  /** Papers that wait, for their bill or invoice or for goods. */
  public Overdue awaited(Awaits what) {
    return sql.sql(
            """
            select count(distinct a.paper_id), coalesce(sum(a.open_value), 0), min(p.date)
            from awaited a join paper p on p.id = a.paper_id
            where a.what = ? and a.open_quantity > 0
            """)
        .param(what.name())
        .query(
            (row, n) ->
                new Overdue(row.getLong(1), row.getLong(2), row.getObject(3, LocalDate.class)))
        .single();
  }

  /** Orders of customers of which something can go. */
  public long toDeliver() {
    return sql.sql("select count(distinct p.id) from " + SellListings.picking().from())
        .query(Long.class)
        .single();
  }

  /** Items that were made from a line of a paper. */
  public long toComplete() {
    return sql.sql("select count(*) from item where to_complete").query(Long.class).single();
  }

  /** Count sheets that are not done. */
  public long counting() {
    return sql.sql("select count(*) from count_sheet where state in ('OPEN', 'CLOSED')")
        .query(Long.class)
        .single();
  }

  /** Purchase orders that wait for approval. */
  public long toApprove() {
    return sql.sql(
            """
            select count(*) from order_head d join paper p on p.id = d.paper_id
            join book b on b.id = 1
            where b.approver <> '' and d.approved_at is null and p.state = 'POSTED'
            """)
        .query(Long.class)
        .single();
  }

  /** Lines that sold goods which have not come yet. */
  public long soldShort() {
    return sql.sql("select count(*) from uncovered_out").query(Long.class).single();
  }

  /** Open amounts due by a date, of one side of trade. */
  public Overdue overdue(String kind, LocalDate date) {
    return sql.sql(
            """
            select coalesce(sum(o.items), 0), coalesce(sum(o.open), 0), min(o.due) from (
              select party_id, count(*) as items, sum(abs(open)) as open, min(due) as due
              from open_item force index (open_by_due)
              where due < :date and open %s 0 group by party_id) o
            straight_join party w on w.id = o.party_id and w.kind = :kind
            """
                .formatted(kind.equals("CUSTOMER") ? ">" : "<"))
        .param("kind", kind)
        .param("date", date)
        .query(
            (row, n) ->
                new Overdue(row.getLong(1), row.getLong(2), row.getObject(3, LocalDate.class)))
        .single();
  }

  /** Papers that wait for something which was wanted by a day that is past. */
  public Overdue late(Awaits what, LocalDate date) {
    return sql.sql(
            """
            select count(distinct p.id), 0, min(coalesce(p.due, d.expected)) from awaited a
            join paper p on p.id = a.paper_id and p.state = 'POSTED'
            left join order_head d on d.paper_id = p.id
            where a.what = ? and a.open_quantity > 0 and coalesce(p.due, d.expected) < ?
            """)
        .params(what.name(), date)
        .query(
            (row, n) ->
                new Overdue(row.getLong(1), row.getLong(2), row.getObject(3, LocalDate.class)))
        .single();
  }

  public record Overdue(long count, long amount, LocalDate since) {}

  /** Sales and their cost in a month. */
  public record Month(long sales, long cost) {}

  public Month month(LocalDate any) {
    return sql.sql(
            """
            select coalesce(sum(case when a.kind = 'INCOME' then m.credit - m.debit else 0 end), 0),
              coalesce(sum(case when a.role = 'COST_OF_GOODS_SOLD' then m.debit - m.credit else 0 end), 0)
            from account_month m join account a on a.id = m.account_id where m.month = ?
            """)
        .param(any.withDayOfMonth(1))
        .query((row, n) -> new Month(row.getLong(1), row.getLong(2)))
        .single();
  }

  /** The latest date that a paper bears, so that a quiet book still shows its last days. */
  public LocalDate lastPaper(LocalDate today) {
    return sql.sql("select max(date) from paper where date <= ?")
        .param(today)
        .query(LocalDate.class)
        .optional()
        .orElse(today);
  }

  /** What stock was worth at the end of a month. */
  public record StockAt(LocalDate month, long worth) {}

  /** Stock value by month end, the last twelve in which it changed, up to a date. */
  public List<StockAt> stockByMonth(LocalDate date) {
    return sql.sql(
            """
            select month, total from (
              select month, sum(sum(value)) over (order by month) as total from stock_month
              where month <= ? group by month order by month desc limit 12) t order by month
            """)
        .param(date)
        .query((row, n) -> new StockAt(row.getObject(1, LocalDate.class), row.getLong(2)))
        .list();
  }
}
