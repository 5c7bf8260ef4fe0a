package zinctally.store.opening;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.PaperKind;

/** How far the opening has come. Amounts are minor units. */
@Repository
public class OpeningStore {
  private final JdbcClient sql;

  OpeningStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param subject {@code group:ID}, {@code RECEIVABLES} or {@code PAYABLES}
   * @param target from the old books, null when not said yet
   */
  public record Line(String subject, String name, Long target, long explained) {
    public long open() {
      return (target == null ? 0 : target) - explained;
    }
  }

  /** Stock by group, then receivables and payables: target and what opening papers explain. */
  public List<Line> lines() {
    List<Line> lines = new ArrayList<>();
    sql
        .sql(
            """
            select concat('group:', g.id), g.name, t.amount, coalesce(x.explained, 0) as explained
            from item_group g left join opening_target t on t.subject = concat('group:', g.id)
            left join (
              select i.group_id, sum(l.net) as explained from paper_kind k
              straight_join paper p on p.kind = k.kind and p.state = 'POSTED'
              straight_join paper_line l on l.paper_id = p.id and l.version = p.version
              straight_join item i on i.id = l.item_id
              where k.opens group by i.group_id) x on x.group_id = g.id
            order by g.name
            """)
        .query(
            (row, n) ->
                new Line(
                    row.getString(1),
                    row.getString(2),
                    row.getObject(3, Long.class),
                    row.getLong(4)))
        .list()
        .stream()
        .filter(l -> l.target() != null || l.explained() != 0)
        .forEach(lines::add);
    for (String role : List.of("RECEIVABLES", "PAYABLES"))
      lines.add(
          sql.sql(
                  """
                  select :role, a.name, (select amount from opening_target where subject = :role),
                    (select coalesce(abs(sum(l.amount)), 0) from journal_line l
                     join journal j on j.id = l.journal_id join paper p on p.id = j.paper_id
                     where p.kind = 'OPENING_PARTIES' and l.account_id = a.id)
                  from account a where a.role = :role limit 1
                  """)
              .param("role", role)
              .query(
                  (row, n) ->
                      new Line(
                          row.getString(1),
                          row.getString(2),
                          row.getObject(3, Long.class),
                          row.getLong(4)))
              .single());
    return lines;
  }

  /** Balance of Opening clearing; ends at zero. */
  public long clearing() {
    return sql.sql(
            """
            select coalesce(sum(m.debit - m.credit), 0) from account_month m
            join account a on a.id = m.account_id where a.role = 'OPENING_CLEARING'
            """)
        .query(Long.class)
        .single();
  }

  public void target(String subject, Optional<Long> amount) {
    if (amount.isEmpty())
      sql.sql("delete from opening_target where subject = ?").param(subject).update();
    else
      sql.sql(
              "insert into opening_target values (?, ?)"
                  + " on duplicate key update amount = values(amount)")
          .params(subject, amount.get())
          .update();
  }

  /** A step on the way to a running book. */
  public record Step(String says, String href, boolean done) {}

  public List<Step> firstSteps() {
    return List.of(
        new Step(
            "Name the book, its currency and its first day",
            "/setup",
            exists("select 1 from book")),
        new Step(
            "Look over the chart of accounts",
            "/setup/accounts",
            exists("select 1 from account where id > 30")),
        new Step(
            "Make groups with their accounts",
            "/setup/groups",
            exists("select 1 from item_group where parent_id is not null")),
        new Step(
            "Name the places that hold stock",
            "/setup/places",
            exists(
                "select 1 from place where name <> 'Store' and kind <> 'WAY' and at_id is null")),
        new Step("Bring in opening stock", "/opening", posted(PaperKind.OPENING_STOCK)),
        new Step("Enter opening balances", "/opening", posted(PaperKind.OPENING_BALANCES)));
  }

  private boolean posted(PaperKind kind) {
    return sql.sql("select exists (select 1 from paper where kind = ? and state = 'POSTED')")
        .param(kind.name())
        .query(Boolean.class)
        .single();
  }

  private boolean exists(String query) {
    return sql.sql("select exists (" + query + ")").query(Boolean.class).single();
  }

  private static final List<String> OPENING =
      List.of(
          PaperKind.OPENING_STOCK.name(),
          PaperKind.OPENING_BALANCES.name(),
          PaperKind.OPENING_PARTIES.name());

  /** Opening papers posted so far. */
  public record Posted(long id, String number, String kind, long total) {}

  public List<Posted> posted() {
    return sql.sql(
            "select id, number, kind, total from paper where kind in (:kinds) and state = 'POSTED' order by id")
        .param("kinds", OPENING)
        .query(
            (row, n) ->
                new Posted(row.getLong(1), row.getString(2), row.getString(3), row.getLong(4)))
        .list();
  }
}
