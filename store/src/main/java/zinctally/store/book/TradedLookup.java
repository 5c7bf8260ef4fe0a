package zinctally.store.book;

import static zinctally.core.papers.Trait.BILLS;
import static zinctally.core.papers.Trait.SELLS;
import static zinctally.core.papers.Trait.SENDS;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Share;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.flow.Trading;

/**
 * Finds the lines of posted papers that moved goods, as if the paper being amended had brought none
 * of them back.
 */
final class TradedLookup {
  private final JdbcClient sql;
  private final long amends;
  private final Function<Collection<Long>, Map<Long, Item>> items;
  private final AwaitedLookup earlier;

  TradedLookup(
      JdbcClient sql,
      long amends,
      Function<Collection<Long>, Map<Long, Item>> items,
      AwaitedLookup earlier) {
    this.sql = sql;
    this.amends = amends;
    this.items = items;
    this.earlier = earlier;
  }

  /** The paper's own goods; goods that moved before it; goods that moved after. */
  private static final String GOODS =
      """
      select e.id as event, e.line, e.quantity from cost_event e
      where e.paper_id = :paper and not e.gone
        and (e.kind = if(:goes, 'OUT', 'IN') and not :anew or e.kind = 'BACK' and :anew)
        and (not :sent or e.contra_account in (
          select id from account where role = 'SENT_NOT_INVOICED'))
      union all
      select e.id, f.line, if(e.lot_id = 0, least(f.quantity, e.quantity), e.quantity) from (
        select awaited_id, line, sum(quantity) as quantity from fulfilment
        where paper_id = :paper group by awaited_id, line having quantity > 0) f
      join awaited a on a.id = f.awaited_id and a.what in ('RECEIVED_BILL', 'SENT_INVOICE')
      join cost_event e on e.paper_id = a.paper_id and e.line = a.line and not e.gone
        and (e.kind = 'IN' and not :goes or e.kind = 'OUT' and e.contra_account in (
          select id from account where role = 'SENT_NOT_INVOICED'))
      where :asks
      union all
      select e.id, f.line, if(e.lot_id = 0, least(f.quantity, e.quantity), e.quantity) from (
        select f.paper_id, f.line as moved_line, a.line, sum(f.quantity) as quantity
        from awaited a join fulfilment f on f.awaited_id = a.id and f.paper_id <> a.paper_id
        where a.paper_id = :paper and a.what in ('BILLED_GOODS', 'INVOICED_GOODS')
        group by f.paper_id, f.line, a.line having quantity > 0) f
      join cost_event e on e.paper_id = f.paper_id and e.line = f.moved_line
        and not e.gone and (e.kind = 'IN' and not :goes or e.kind = 'OUT' and e.contra_account not in (
          select id from account where role = 'SENT_NOT_INVOICED'))
      where :asks""";

  List<Traded> traded(String number) {
    record Head(long id, PaperKind kind, String number, LocalDate date, long party) {}
    Optional<Head> head =
        sql.sql(
                "select id, kind, number, date, party_id from paper where number = ? and state = 'POSTED'")
            .param(number.strip())
            .query(
                (row, n) ->
                    new Head(
                        row.getLong(1),
                        PaperKind.valueOf(row.getString(2)),
                        row.getString(3),
                        row.getObject(4, LocalDate.class),
                        row.getLong(5)))
            .optional()
            .filter(
                h -> h.kind.is(Trait.BRINGS_IN) || h.kind.is(Trait.SENDS) || h.kind.is(Trait.ANEW));
    if (head.isEmpty()) return List.of();
    Head paper = head.get();
    Awaits waits = Trading.goodsWait(paper.kind).orElse(null);
    List<Awaited> waiting = waits == null ? List.of() : earlier.awaited(paper.number);
    record Row(
        long event,
        int line,
        long item,
        long quantity,
        long returned,
        long value,
        long net,
        @Nullable TaxRate rate,
        long lot) {}
    List<Row> rows =
        sql.sql(
                "select g.event, g.line, g.quantity, e.item_id, e.lot_id, e.quantity as arrived,"
                    + " if(e.kind = 'BACK', e.booked, e.value) + e.charges as value, l.net, l.quantity as line_quantity,"
                    + " t.id as rate, t.code, t.name, t.percent,"
                    + """
                     (select coalesce(sum(b.quantity), 0) from cost_event b
                      join paper c on c.id = b.paper_id
                      join paper_line r on r.paper_id = c.id and r.version = c.version
                        and r.line = b.line and r.of_paper = :paper and r.of_line = g.line
                      where b.target_id = g.event and not b.gone and b.kind in ('OUT', 'BACK')
                        and b.paper_id <> :amends) as returned
                    from (\s"""
                    + GOODS
                    + """
                    ) g join cost_event e on e.id = g.event
                    join paper p on p.id = :paper
                    join paper_line l on l.paper_id = p.id and l.version = p.version and l.line = g.line
                    left join tax_rate t on t.id = l.tax_rate_id
                    order by g.line, e.date, e.sequence, e.part, e.line""")
            .param("paper", paper.id)
            .param("goes", paper.kind.is(SENDS))
            .param("sent", paper.kind.is(SENDS) && !paper.kind.is(SELLS))
            .param("asks", paper.kind.is(BILLS) || paper.kind.is(SELLS))
            .param("anew", paper.kind.is(Trait.ANEW))
            .param("amends", amends)
            .query(
                (row, n) -> {
                  long quantity = row.getLong("quantity");
                  long arrived = row.getLong("arrived");
                  long value = row.getLong("value");
                  return new Row(
                      row.getLong("event"),
                      row.getInt("line"),
                      row.getLong("item_id"),
                      quantity,
                      row.getLong("returned"),
                      quantity == arrived ? value : Share.of(value, quantity, arrived),
                      Share.of(row.getLong("net"), quantity, row.getLong("line_quantity")),
                      NamedLookup.rate(row),
                      row.getLong("lot_id"));
                })
            .list();
    Map<Long, Item> found = items.apply(rows.stream().map(Row::item).distinct().toList());
    List<Long> ofLots =
        rows.stream()
            .filter(r -> Objects.requireNonNull(found.get(r.item)).tracking() == Tracking.LOT)
            .map(Row::event)
            .distinct()
            .toList();
    Map<Long, Map<Long, Long>> lots = ofLots.isEmpty() ? Map.of() : lots(ofLots);
    Map<Integer, String> billedWith = waits == null ? Map.of() : billedWith(paper.id);
    return rows.stream()
        .map(
            r ->
                new Traded(
                    r.event,
                    paper.kind,
                    paper.id,
                    paper.number,
                    paper.date,
                    r.line,
                    paper.party,
                    Objects.requireNonNull(found.get(r.item)),
                    r.quantity,
                    r.returned,
                    r.value,
                    r.net,
                    r.rate,
                    r.lot,
                    lots.getOrDefault(r.event, Map.of()),
                    billedWith.getOrDefault(r.line, ""),
                    waiting.stream()
                        .filter(a -> a.what() == waits && a.line() == r.line)
                        .filter(a -> a.paper() == paper.id)
                        .findFirst()
                        .orElse(null)))
        .toList();
  }

  /** What of each lot moved with events and has not gone or come back, millionths. */
  private Map<Long, Map<Long, Long>> lots(List<Long> events) {
    Map<Long, Map<Long, Long>> lots = new HashMap<>();
    sql.sql(
            """
            select event, lot_id, sum(moved) as left_of_it from (
              select e.id as event, m.lot_id, abs(sum(m.quantity)) as moved
              from cost_event e join quantity_move m on m.paper_id = e.paper_id and m.line = e.line
                and m.part = e.part
                and m.item_id = e.item_id and m.lot_id <> 0
              where e.id in (:events) group by e.id, m.lot_id
              union all
              select b.target_id, m.lot_id, -abs(sum(m.quantity))
              from cost_event b join quantity_move m on m.paper_id = b.paper_id and m.line = b.line
                and m.part = b.part
                and m.item_id = b.item_id and m.lot_id <> 0
              where b.target_id in (:events) and not b.gone and b.kind in ('OUT', 'BACK')
                and b.paper_id <> :amends
              group by b.target_id, m.lot_id) t
            group by event, lot_id
            """)
        .param("events", events)
        .param("amends", amends)
        .query(
            (row, n) ->
                lots.computeIfAbsent(row.getLong(1), e -> new HashMap<>())
                    .put(row.getLong(2), row.getLong(3)))
        .list();
    return lots;
  }

  /** Of a receipt or delivery, the bill or invoice that came before its goods, by line. */
  private Map<Integer, String> billedWith(long paper) {
    Map<Integer, String> numbers = new HashMap<>();
    sql.sql(
            """
            select f.line, p.number from fulfilment f
            join awaited a on a.id = f.awaited_id and a.what in ('BILLED_GOODS', 'INVOICED_GOODS')
            join paper p on p.id = a.paper_id and p.state = 'POSTED'
            where f.paper_id = ? and a.paper_id <> f.paper_id
            group by f.line, p.number having sum(f.quantity) > 0
            """)
        .param(paper)
        .query((row, n) -> numbers.put(row.getInt(1), row.getString(2)))
        .list();
    return numbers;
  }
}
