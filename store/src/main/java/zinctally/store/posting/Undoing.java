package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Position;
import zinctally.core.cost.Spot;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;

/** Gathers what a posted paper has done. */
@Component
class Undoing {
  private final JdbcClient sql;

  Undoing(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * @param floor the first day on which something may be taken back
   */
  Undo of(long paper, LocalDate floor) {
    return new Undo(
        paper,
        floor,
        sql.sql("select * from cost_event where paper_id = ? and not gone order by id")
            .param(paper)
            .query(
                (row, n) ->
                    new Undo.Old(
                        row.getLong("item_id"),
                        new CostEvent(
                            row.getLong("id"),
                            EventKind.valueOf(row.getString("kind")),
                            new Position(
                                row.getObject("date", LocalDate.class),
                                row.getLong("sequence"),
                                new Spot(row.getInt("line"), row.getInt("part"))),
                            row.getLong("quantity"),
                            row.getLong("value"),
                            row.getLong("target_id")),
                        row.getLong("charges"),
                        row.getLong("contra_account"),
                        row.getLong("centre_id"),
                        row.getLong("lot_id")))
            .list(),
        sql.sql(
                """
                select n.event_id, n.posting_date, sum(n.quantity) as quantity, sum(n.value) as value
                from cost_event e join cost_entry n on n.event_id = e.id
                where e.paper_id = ? and not e.gone group by n.event_id, n.posting_date
                having quantity <> 0 or value <> 0 order by n.posting_date, n.event_id
                """)
            .param(paper)
            .query(
                (row, n) ->
                    new Undo.Entry(
                        row.getLong(1),
                        row.getObject(2, LocalDate.class),
                        row.getLong(3),
                        row.getLong(4)))
            .list(),
        sql.sql(
                """
                select j.date, l.account_id, l.item_id, l.party_id, l.memo, sum(l.amount) as amount,
                  l.centre_id
                from journal j straight_join journal_line l on l.journal_id = j.id
                where j.paper_id = ? and not l.worked
                group by j.date, l.account_id, l.item_id, l.party_id, l.memo, l.centre_id
                having amount <> 0 order by j.date, min(l.id)
                """)
            .param(paper)
            .query(
                (row, n) ->
                    new Undo.Line(
                        row.getObject(1, LocalDate.class),
                        new JournalLine(
                                row.getLong(2),
                                row.getLong(3),
                                row.getLong(4),
                                new Money(row.getLong(6)),
                                row.getString(5))
                            .in(row.getLong(7))))
            .list(),
        sql.sql(
                """
                select item_id, place_id, line, part, date, sum(quantity) as moved, lot_id
                from quantity_move where paper_id = ?
                group by item_id, place_id, line, part, date, lot_id having moved <> 0
                """)
            .param(paper)
            .query(
                (row, n) ->
                    new Undo.Moved(
                        row.getLong(1),
                        row.getLong(2),
                        new Spot(row.getInt(3), row.getInt(4)),
                        row.getObject(5, LocalDate.class),
                        new Quantity(row.getLong(6)),
                        row.getLong(7)))
            .list(),
        recognised(paper));
  }

  private List<Undo.Line> recognised(long paper) {
    List<Undo.Line> lines = new ArrayList<>();
    sql.sql(
            """
            select f.date, f.account_id, a.item_id, sum(f.value) as value,
              (select min(id) from account where role = 'SENT_NOT_INVOICED' and active) as sent,
              coalesce(l.centre_id, 0) as centre
            from fulfilment f join awaited a on a.id = f.awaited_id
            join paper p on p.id = f.paper_id
            left join paper_line l on l.paper_id = p.id and l.version = p.version and l.line = f.line
            where f.paper_id = ? and f.account_id is not null
            group by f.date, f.account_id, a.item_id, centre having value <> 0
            """)
        .param(paper)
        .query(
            row -> {
              LocalDate date = row.getObject(1, LocalDate.class);
              long item = row.getLong(3);
              long value = row.getLong(4);
              lines.add(
                  new Undo.Line(
                      date,
                      new JournalLine(row.getLong(2), item, 0, new Money(value), "")
                          .in(row.getLong(6))));
              lines.add(
                  new Undo.Line(
                      date, new JournalLine(row.getLong(5), item, 0, new Money(-value), "")));
            });
    return lines;
  }
}
