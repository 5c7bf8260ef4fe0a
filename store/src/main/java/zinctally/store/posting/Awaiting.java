package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.papers.plan.Plan;
import zinctally.store.sql.Rows;

/** What lines of papers wait for, and what later papers bring of it. */
@Component
class Awaiting {
  private final JdbcClient sql;

  private final JdbcTemplate jdbc;
  private final OwnWaits waits;

  Awaiting(JdbcClient sql, JdbcTemplate jdbc, OwnWaits waits) {
    this.sql = sql;
    this.jdbc = jdbc;
    this.waits = waits;
  }

  /** Writes what a new paper waits for, and what it brings. */
  void write(Plan plan, long paper) {
    for (Plan.Wait wait : plan.awaits()) add(wait, paper);
    fill(rows(plan.fills()), paper);
  }

  /** Writes what a change of cost does to goods sent before they were invoiced. */
  void recost(List<SentCosts.Row> rows, long paper) {
    for (SentCosts.Row r : rows)
      fill(
          List.of(new Row(r.awaited(), r.line(), 0, r.value(), r.date(), r.account())),
          r.paper() == 0 ? paper : r.paper());
  }

  /**
   * A row of what was brought.
   *
   * @param account where a later difference of cost went; zero for none
   */
  private record Row(
      long awaited, int line, long quantity, long value, LocalDate on, long account) {
    Row takenBack(LocalDate day) {
      return new Row(awaited, line, -quantity, -value, day, account);
    }
  }

  private static List<Row> rows(List<Plan.Fill> fills) {
    return fills.stream()
        .map(
            f ->
                new Row(f.awaited(), f.line(), f.quantity().micros(), f.value().minor(), f.on(), 0))
        .toList();
  }

  private void add(Plan.Wait wait, long paper) {
    long quantity = wait.quantity().micros();
    long value = wait.value().orElseThrow().minor();
    sql.sql(
            """
            insert into awaited (paper_id, line, what, item_id, party_id, quantity, value,
              open_quantity, open_value, order_paper, order_line)
            values (?, ?, ?, ?, nullif(?, 0), ?, ?, ?, ?, ?, ?)
            """)
        .params(
            paper,
            wait.line(),
            wait.what().name(),
            wait.item(),
            wait.party(),
            quantity,
            value,
            quantity,
            value,
            wait.orderPaper(),
            wait.orderLine())
        .update();
  }

  private void fill(List<Row> fills, long paper) {
    if (fills.isEmpty()) return;
    jdbc.batchUpdate(
        "update awaited set open_quantity = open_quantity - ?, open_value = open_value - ?"
            + " where id = ?",
        fills.stream().map(f -> new Object[] {f.quantity(), f.value(), f.awaited()}).toList());
    Rows.write(
        jdbc,
        "insert into fulfilment (awaited_id, paper_id, line, quantity, value, date, account_id)"
            + " values (?, ?, ?, ?, ?, ?, nullif(?, 0))",
        fills.stream()
            .map(f -> new Object[] {f.awaited, paper, f.line, f.quantity, f.value, f.on, f.account})
            .toList());
  }

  /** Takes back what the version before brought, and puts what is waited for right. */
  void rewrite(Plan next, Undo undo, long paper, LocalDate date) {
    for (Row brought : brought(paper, false))
      fill(List.of(brought.takenBack(undo.on(brought.on))), paper);
    List<Plan.Wait> left = new ArrayList<>(next.awaits());
    List<OwnWaits.Own> gone = new ArrayList<>();
    for (OwnWaits.Own own : waits.of(paper)) {
      Optional<Plan.Wait> same = OwnWaits.same(own, left);
      same.ifPresent(left::remove);
      if (same.isPresent()) change(own, same.get());
      else gone.add(own);
    }
    if (!gone.isEmpty()) end(gone, brought(paper, true), undo, paper, date);
    left.forEach(wait -> add(wait, paper));
    fill(rows(next.fills()), paper);
  }

  /** What is waited for no more; what its cost has changed by goes on the days of those changes. */
  private void end(
      List<OwnWaits.Own> gone, List<Row> changes, Undo undo, long paper, LocalDate date) {
    List<Row> ended = new ArrayList<>();
    for (OwnWaits.Own own : gone) {
      long value = own.openValue();
      for (Row change : changes)
        if (change.awaited == own.id() && change.quantity == 0) {
          ended.add(change.takenBack(undo.on(change.on)));
          value += change.value;
        }
      if (own.openQuantity() != 0 || value != 0)
        ended.add(new Row(own.id(), own.line(), own.openQuantity(), value, undo.on(date), 0));
    }
    fill(ended, paper);
  }

  /**
   * What a paper has brought, summed.
   *
   * @param own of what it waits for itself, or of what others do
   */
  private List<Row> brought(long paper, boolean own) {
    return sql.sql(
            """
            select f.awaited_id, f.line, sum(f.quantity) as q, sum(f.value) as v, f.date,
              coalesce(f.account_id, 0) as account
            from fulfilment f join awaited a on a.id = f.awaited_id
            where f.paper_id = :paper and (a.paper_id = f.paper_id) = :own
            group by f.awaited_id, f.line, f.date, f.account_id having q <> 0 or v <> 0
            """)
        .param("paper", paper)
        .param("own", own)
        .query(
            (row, n) ->
                new Row(
                    row.getLong(1),
                    row.getInt(2),
                    row.getLong(3),
                    row.getLong(4),
                    row.getObject(5, LocalDate.class),
                    row.getLong(6)))
        .list();
  }

  private void change(OwnWaits.Own own, Plan.Wait wait) {
    long quantity = wait.quantity().micros();
    long value = wait.value().orElseThrow().minor();
    sql.sql(
            "delete f from fulfilment f join awaited a on a.id = f.awaited_id"
                + " where a.id = ? and f.paper_id = a.paper_id")
        .param(own.id())
        .update();
    sql.sql(
            """
            update awaited set line = ?, party_id = nullif(?, 0), quantity = ?, value = ?, open_quantity = ?,
              open_value = ?, order_paper = ?, order_line = ? where id = ?
            """)
        .params(
            wait.line(),
            wait.party(),
            quantity,
            value,
            quantity - own.filled(),
            value - own.filledValue(),
            wait.orderPaper(),
            wait.orderLine(),
            own.id())
        .update();
  }

  /** The rest of an order that will not come any more. */
  void end(long order, LocalDate on) {
    fill(
        waits.of(order).stream()
            .filter(own -> own.openQuantity() > 0)
            .map(own -> new Row(own.id(), own.line(), own.openQuantity(), own.openValue(), on, 0))
            .toList(),
        order);
  }
}
