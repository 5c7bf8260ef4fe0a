package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.number.Coin;
import zinctally.core.papers.Fault;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.plan.Plan;
import zinctally.store.Refused;

/** What papers make owed, and what they settle. */
@Component
class Dues {
  private final JdbcClient sql;

  Dues(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * An open item of a paper that it still owes, with the papers of others that have settled some of
   * it.
   */
  private record Own(OpenItem item, long settled, String by) {}

  private List<Own> own(long paper) {
    return sql.sql(
            """
            select o.*,
              (select coalesce(sum(s.amount), 0) from settlement s
               where s.open_item_id = o.id and s.paper_id <> o.paper_id) as settled,
              (select group_concat(distinct p.number order by p.id separator ', ')
               from settlement s join paper p on p.id = s.paper_id and p.state = 'POSTED'
               where s.open_item_id = o.id and s.paper_id <> o.paper_id) as settled_by
            from open_item o where o.paper_id = ? and not exists (
              select 1 from settlement s where s.open_item_id = o.id and s.paper_id = o.paper_id)
            order by o.line
            """)
        .param(paper)
        .query(
            (row, n) ->
                new Own(
                    new OpenItem(
                        row.getLong("id"),
                        row.getLong("party_id"),
                        row.getString("number"),
                        row.getObject("date", LocalDate.class),
                        row.getObject("due", LocalDate.class),
                        row.getLong("amount"),
                        row.getLong("open"),
                        ""),
                    row.getLong("settled"),
                    row.getString("settled_by")))
        .list();
  }

  /** What papers of others have settled and a next version would no longer bear. */
  List<Fault> inTheWay(long paper, Plan next, Coin coin) {
    List<Fault> faults = new ArrayList<>();
    List<Plan.Due> left = new ArrayList<>(next.dues());
    for (Own own : own(paper)) {
      Optional<Plan.Due> same = same(own, left);
      same.ifPresent(left::remove);
      if (own.settled == 0) continue;
      long bears = same.map(due -> due.amount().minor()).orElse(0L);
      if (Long.signum(bears) == Long.signum(own.item.amount())
          && Math.abs(bears) >= Math.abs(own.settled)) continue;
      faults.add(
          Fault.whole(
              own.by
                  + " settles "
                  + coin.say(Math.abs(own.settled))
                  + " of it"
                  + (bears == 0
                      ? "; void that payment first."
                      : ", more than the " + coin.say(Math.abs(bears)) + " it would then be.")));
    }
    return faults;
  }

  private static Optional<Plan.Due> same(Own own, List<Plan.Due> dues) {
    List<Plan.Due> ofParty = dues.stream().filter(d -> d.party() == own.item.party()).toList();
    return ofParty.stream()
        .filter(d -> d.number().equals(own.item.number()))
        .findFirst()
        .or(
            () ->
                ofParty.stream()
                    .filter(d -> d.amount().signum() == Long.signum(own.item.amount()))
                    .findFirst());
  }

  /** Writes what a new paper makes owed, and what it settles. */
  void write(Plan plan, long paper, String number, LocalDate date) {
    int line = 0;
    for (Plan.Due due : plan.dues()) add(due, paper, line++, number);
    settle(plan, paper, date);
  }

  private void add(Plan.Due due, long paper, int line, String number) {
    sql.sql(
            "insert into open_item (paper_id, line, party_id, number, date, due, amount, open)"
                + " values (?, ?, ?, ?, ?, ?, ?, ?)")
        .params(
            paper,
            line,
            due.party(),
            named(due, number),
            due.date(),
            due.due(),
            due.amount().minor(),
            due.amount().minor())
        .update();
  }

  /** Its own number, the paper's when it has none, or that and which part of it. */
  private static String named(Plan.Due due, String paper) {
    boolean part = due.number().isEmpty() || due.number().startsWith("/");
    return part ? paper + due.number() : due.number();
  }

  private void settle(Plan plan, long paper, LocalDate date) {
    List<Plan.Settlement> inOrder =
        plan.settlements().stream()
            .sorted(Comparator.comparingLong(Plan.Settlement::openItem))
            .toList();
    for (Plan.Settlement settlement : inOrder) {
      int done =
          sql.sql(
                  "update open_item set open = open + :a where id = :id"
                      + " and abs(open + :a) <= abs(open) and sign(open + :a) in (0, sign(open))")
              .param("a", settlement.amount().minor())
              .param("id", settlement.openItem())
              .update();
      if (done == 0)
        throw new Refused(
            List.of(
                Fault.whole(
                    "One of these has been settled in the meantime; look at what is open again.")));
      settled(paper, settlement.openItem(), settlement.amount().minor(), date);
    }
  }

  private void settled(long paper, long item, long amount, LocalDate date) {
    sql.sql("insert into settlement (paper_id, open_item_id, amount, date) values (?, ?, ?, ?)")
        .params(paper, item, amount, date)
        .update();
  }

  /**
   * Takes back what the version before settled, and puts what is owed right. What is no longer owed
   * is settled by the paper itself on the day it is voided.
   */
  void rewrite(Plan next, Undo undo, long paper, String number, LocalDate date) {
    record Done(long item, LocalDate date, long amount) {}
    List<Done> done =
        sql.sql(
                """
                select s.open_item_id, s.date, sum(s.amount) as amount from settlement s
                join open_item o on o.id = s.open_item_id
                where s.paper_id = ? and o.paper_id <> s.paper_id
                group by s.open_item_id, s.date having amount <> 0 order by s.open_item_id, s.date
                """)
            .param(paper)
            .query(
                (row, n) ->
                    new Done(row.getLong(1), row.getObject(2, LocalDate.class), row.getLong(3)))
            .list();
    for (Done was : done) {
      sql.sql("update open_item set open = open - ? where id = ?")
          .params(was.amount, was.item)
          .update();
      settled(paper, was.item, -was.amount, undo.on(was.date));
    }
    List<Plan.Due> left = new ArrayList<>(next.dues());
    int line = 0;
    for (Own own : own(paper)) {
      Optional<Plan.Due> same = same(own, left);
      same.ifPresent(left::remove);
      if (same.isPresent()) change(own, same.get(), number);
      else if (own.item.open() != 0) {
        sql.sql("update open_item set open = 0 where id = ?").param(own.item.id()).update();
        settled(paper, own.item.id(), -own.item.open(), date);
      }
      line++;
    }
    for (Plan.Due due : left) add(due, paper, line++, number);
    settle(next, paper, date);
  }

  private void change(Own own, Plan.Due due, String number) {
    sql.sql(
            "update open_item set number = ?, date = ?, due = ?, amount = ?, open = open + ?"
                + " where id = ?")
        .params(
            named(due, number),
            due.date(),
            due.due(),
            due.amount().minor(),
            due.amount().minor() - own.item.amount(),
            own.item.id())
        .update();
  }
}
