package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.PostingDate;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.papers.plan.Plan;
import zinctally.core.papers.trade.Recognition;
import zinctally.core.proof.Proof;

/** What a change of cost does to goods that were sent before they were invoiced. */
@Component
class SentCosts {
  private static final int CHUNK = 1000;
  private final JdbcClient sql;

  SentCosts(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param lines cost of goods sold against Sent, not invoiced
   * @param rows what is to be written of it
   */
  record Change(List<Undo.Line> lines, List<Row> rows) {}

  /**
   * A change of what an awaited invoice stands at.
   *
   * @param paper the delivery whose cost changes, or the invoice that has recognised it; zero for
   *     the paper being posted
   * @param value minor units that leave its account
   * @param account where they go; zero when the delivery's cost itself changes
   */
  record Row(long awaited, long paper, int line, long value, LocalDate date, long account) {}

  private record Sent(
      long event,
      long awaited,
      long paper,
      int line,
      long item,
      long quantity,
      long cost,
      long account) {}

  private record Invoiced(
      long awaited, long paper, int line, LocalDate date, long quantity, long value, long centre) {}

  Change of(List<Proof.Later> later, Worker.Job job) {
    Map<Long, Proof.Later> byEvent = new HashMap<>();
    for (Proof.Later l : later) byEvent.put(l.event().id(), l);
    List<Undo.Line> lines = new ArrayList<>();
    List<Row> rows = new ArrayList<>();
    Map<Long, List<Sent>> sent = new LinkedHashMap<>();
    for (Sent s : sent(List.copyOf(byEvent.keySet())))
      sent.computeIfAbsent(s.awaited, a -> new ArrayList<>()).add(s);
    Map<Long, List<Invoiced>> invoiced = invoiced(List.copyOf(sent.keySet()), job);
    sent.forEach(
        (awaited, events) -> {
          Sent first = events.get(0);
          long cost = first.cost;
          for (Sent s : events) {
            Proof.Later change = Objects.requireNonNull(byEvent.get(s.event));
            cost -= change.difference();
            rows.add(
                new Row(awaited, s.paper, s.line, change.difference(), change.postingDate(), 0));
          }
          recognise(first, cost, invoiced.getOrDefault(awaited, List.of()), job, lines, rows);
        });
    return new Change(lines, rows);
  }

  private static void recognise(
      Sent sent,
      long cost,
      List<Invoiced> invoiced,
      Worker.Job job,
      List<Undo.Line> lines,
      List<Row> rows) {
    long[] changes =
        Recognition.changes(
            cost,
            sent.quantity,
            invoiced.stream().map(i -> new Recognition.Part(i.quantity, i.value)).toList());
    long account = job.item(sent.item).costAccount();
    for (int i = 0; i < changes.length; i++) {
      if (changes[i] == 0) continue;
      Invoiced by = invoiced.get(i);
      LocalDate date = PostingDate.of(by.date, job.date(), job.firstOpenDay());
      rows.add(new Row(sent.awaited, by.paper, by.line, changes[i], date, account));
      lines.add(
          new Undo.Line(
              date,
              new JournalLine(account, sent.item, 0, new Money(changes[i]), "").in(by.centre)));
      lines.add(
          new Undo.Line(
              date, new JournalLine(sent.account, sent.item, 0, new Money(-changes[i]), "")));
    }
  }

  private List<Sent> sent(List<Long> events) {
    List<Sent> sent = new ArrayList<>();
    for (int from = 0; from < events.size(); from += CHUNK)
      sent.addAll(
          sql.sql(
                  """
                  select e.id, a.id as awaited, a.paper_id, a.line, a.item_id, a.quantity,
                    c.id as account,
                    (select -sum(b.booked) from cost_event b
                     where b.paper_id = a.paper_id and b.line = a.line and not b.gone
                       and b.contra_account = c.id) as cost
                  from cost_event e
                  join account c on c.id = e.contra_account and c.role = 'SENT_NOT_INVOICED'
                  join awaited a on a.paper_id = e.paper_id and a.line = e.line
                    and a.what = 'SENT_INVOICE'
                  where e.id in (:events) and not e.gone order by a.id, e.id
                  """)
              .param("events", events.subList(from, Math.min(events.size(), from + CHUNK)))
              .query(
                  (row, n) ->
                      new Sent(
                          row.getLong("id"),
                          row.getLong("awaited"),
                          row.getLong("paper_id"),
                          row.getInt("line"),
                          row.getLong("item_id"),
                          row.getLong("quantity"),
                          row.getLong("cost"),
                          row.getLong("account")))
              .list());
    return sent;
  }

  /** What invoices have recognised, by what awaited them, with what the job itself invoices. */
  private Map<Long, List<Invoiced>> invoiced(List<Long> awaited, Worker.Job job) {
    Map<Long, List<Invoiced>> invoiced = new HashMap<>();
    for (int from = 0; from < awaited.size(); from += CHUNK)
      sql.sql(
              """
              select f.awaited_id, f.paper_id, f.line, p.date, sum(f.quantity) as quantity,
                sum(f.value) as value, coalesce(l.centre_id, 0) as centre
              from awaited a join fulfilment f on f.awaited_id = a.id and f.paper_id <> a.paper_id
              join paper p on p.id = f.paper_id
              left join paper_line l
                on l.paper_id = p.id and l.version = p.version and l.line = f.line
              where a.id in (:awaited) and f.paper_id <> :undone
              group by f.awaited_id, f.paper_id, f.line having quantity > 0
              order by f.paper_id, f.line
              """)
          .param("awaited", awaited.subList(from, Math.min(awaited.size(), from + CHUNK)))
          .param("undone", job.undo().paper())
          .query(
              (row, n) ->
                  new Invoiced(
                      row.getLong(1),
                      row.getLong(2),
                      row.getInt(3),
                      row.getObject(4, LocalDate.class),
                      row.getLong(5),
                      row.getLong(6),
                      row.getLong(7)))
          .list()
          .forEach(i -> invoiced.computeIfAbsent(i.awaited, a -> new ArrayList<>()).add(i));
    for (Plan.Fill fill : job.plan().fills())
      if (awaited.contains(fill.awaited()))
        invoiced
            .computeIfAbsent(fill.awaited(), a -> new ArrayList<>())
            .add(
                new Invoiced(
                    fill.awaited(),
                    0,
                    fill.line(),
                    fill.on(),
                    fill.quantity().micros(),
                    fill.value().minor(),
                    job.plan().centres().getOrDefault(fill.line(), 0L)));
    return invoiced;
  }
}
