package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.Role;
import zinctally.core.papers.Fault;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.plan.Plan;

/** What lines of papers wait for, and what later papers bring of it. */
@Component
class Awaiting {
  private final JdbcClient sql;
  private final JdbcTemplate jdbc;

  Awaiting(JdbcClient sql, JdbcTemplate jdbc) {
    this.sql = sql;
    this.jdbc = jdbc;
  }

  /**
   * What a posted line waits for.
   *
   * @param filled millionths that other papers have brought
   * @param filledValue minor units they have taken off
   * @param by those papers' numbers; null for none
   */
  private record Own(
      long id,
      Awaits what,
      int line,
      long item,
      String itemName,
      long quantity,
      long value,
      long openQuantity,
      long openValue,
      long filled,
      long filledValue,
      String by) {}

  private List<Own> own(long paper) {
    return sql.sql(
            """
            select a.*, i.name, coalesce(f.quantity, 0) as filled,
              coalesce(f.value, 0) as filled_value, f.numbers
            from awaited a join item i on i.id = a.item_id
            left join (
              select f.awaited_id, sum(f.quantity) as quantity, sum(f.value) as value,
                group_concat(distinct if(p.state = 'POSTED', p.number, null)
                             order by p.id separator ', ') as numbers
              from awaited o join fulfilment f on f.awaited_id = o.id and f.paper_id <> o.paper_id
              join paper p on p.id = f.paper_id
              where o.paper_id = :paper group by f.awaited_id) f on f.awaited_id = a.id
            where a.paper_id = :paper order by a.id
            """)
        .param("paper", paper)
        .query(
            (row, n) ->
                new Own(
                    row.getLong("id"),
                    Awaits.valueOf(row.getString("what")),
                    row.getInt("line"),
                    row.getLong("item_id"),
                    row.getString("name"),
                    row.getLong("quantity"),
                    row.getLong("value"),
                    row.getLong("open_quantity"),
                    row.getLong("open_value"),
                    row.getLong("filled"),
                    row.getLong("filled_value"),
                    row.getString("numbers")))
        .list();
  }

  private static Optional<Plan.Wait> same(Own own, List<Plan.Wait> waits) {
    List<Plan.Wait> alike =
        waits.stream().filter(w -> w.what() == own.what && w.item() == own.item).toList();
    return alike.stream()
        .filter(w -> w.line() == own.line)
        .findFirst()
        .or(() -> alike.stream().findFirst());
  }

  /** What other papers have brought and a next version would no longer wait for as it did. */
  List<Fault> inTheWay(long paper, Plan next) {
    List<Fault> faults = new ArrayList<>();
    List<Plan.Wait> left = new ArrayList<>(next.awaits());
    for (Own own : own(paper)) {
      Optional<Plan.Wait> same = same(own, left);
      same.ifPresent(left::remove);
      if (own.filled == 0 && own.filledValue == 0) continue;
      boolean booked = own.what.role() != Role.NONE;
      boolean stays =
          same.isPresent()
              && own.what != Awaits.SENT_INVOICE
              && (!booked
                  || same.get().quantity() == own.quantity && same.get().value() == own.value);
      if (stays) continue;
      faults.add(
          Fault.whole(
              own.by
                  + " goes on from its line of "
                  + own.itemName
                  + (same.isEmpty() || own.what == Awaits.SENT_INVOICE
                      ? "; void that paper first."
                      : ", as it stands; void that paper first, or leave quantity and price of"
                          + " this line.")));
    }
    return faults.stream().distinct().toList();
  }

  /** Papers that took goods with a share which this one had put on goods still to come. */
  List<Fault> tookShares(long paper) {
    return sql.sql(
            """
            select distinct p.number, i.name from fulfilment f
            join awaited a on a.id = f.awaited_id and a.paper_id <> f.paper_id
              and a.what = 'BILLED_GOODS'
            join fulfilment g on g.awaited_id = a.id and g.paper_id not in (f.paper_id, a.paper_id)
              and g.quantity > 0 and g.id > f.id
            join paper p on p.id = g.paper_id and p.state = 'POSTED'
            join item i on i.id = a.item_id
            where f.paper_id = ? and f.quantity = 0 and f.value < 0
            """)
        .param(paper)
        .query(
            (row, n) ->
                Fault.whole(
                    row.getString(1)
                        + " has taken in "
                        + row.getString(2)
                        + " with its share of this; void that paper first."))
        .list();
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
        .map(f -> new Row(f.awaited(), f.line(), f.quantity(), f.value(), f.on(), 0))
        .toList();
  }

  private void add(Plan.Wait wait, long paper) {
    sql.sql(
            """
            insert into awaited (paper_id, line, what, item_id, party_id, quantity, value,
              open_quantity, open_value, order_paper, order_line)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            paper,
            wait.line(),
            wait.what().name(),
            wait.item(),
            wait.party(),
            wait.quantity(),
            wait.value(),
            wait.quantity(),
            wait.value(),
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
    jdbc.batchUpdate(
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
    List<Own> gone = new ArrayList<>();
    for (Own own : own(paper)) {
      Optional<Plan.Wait> same = same(own, left);
      same.ifPresent(left::remove);
      if (same.isPresent()) change(own, same.get());
      else gone.add(own);
    }
    if (!gone.isEmpty()) end(gone, brought(paper, true), undo, paper, date);
    left.forEach(wait -> add(wait, paper));
    fill(rows(next.fills()), paper);
  }

  /** What is waited for no more; what its cost has changed by goes on the days of those changes. */
  private void end(List<Own> gone, List<Row> changes, Undo undo, long paper, LocalDate date) {
    List<Row> ended = new ArrayList<>();
    for (Own own : gone) {
      long value = own.openValue;
      for (Row change : changes)
        if (change.awaited == own.id && change.quantity == 0) {
          ended.add(change.takenBack(undo.on(change.on)));
          value += change.value;
        }
      if (own.openQuantity != 0 || value != 0)
        ended.add(new Row(own.id, own.line, own.openQuantity, value, undo.on(date), 0));
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

  private void change(Own own, Plan.Wait wait) {
    sql.sql(
            "delete f from fulfilment f join awaited a on a.id = f.awaited_id"
                + " where a.id = ? and f.paper_id = a.paper_id")
        .param(own.id)
        .update();
    sql.sql(
            """
            update awaited set line = ?, party_id = ?, quantity = ?, value = ?, open_quantity = ?,
              open_value = ?, order_paper = ?, order_line = ? where id = ?
            """)
        .params(
            wait.line(),
            wait.party(),
            wait.quantity(),
            wait.value(),
            wait.quantity() - own.filled,
            wait.value() - own.filledValue,
            wait.orderPaper(),
            wait.orderLine(),
            own.id)
        .update();
  }

  /** The rest of an order that will not come any more. */
  void end(long order, LocalDate on) {
    fill(
        own(order).stream()
            .filter(own -> own.openQuantity > 0)
            .map(own -> new Row(own.id, own.line, own.openQuantity, own.openValue, on, 0))
            .toList(),
        order);
  }
}
