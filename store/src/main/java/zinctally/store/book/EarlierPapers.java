package zinctally.store.book;

import static zinctally.core.papers.PaperKind.Trait.BILLS;
import static zinctally.core.papers.PaperKind.Trait.SELLS;
import static zinctally.core.papers.PaperKind.Trait.SENDS;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Share;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.PaperKind.Trait;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;
import zinctally.core.papers.plan.Plan;

/**
 * Lines of posted papers that later ones go on from, as if the paper being amended had not done so.
 */
final class EarlierPapers {
  private final JdbcClient sql;
  private final Function<Collection<Long>, Map<Long, Item>> items;

  EarlierPapers(JdbcClient sql, Function<Collection<Long>, Map<Long, Item>> items) {
    this.sql = sql;
    this.items = items;
  }

  private static final String AWAITED =
      """
      select a.*, p.kind, p.number, p.date, l.net, l.price,
        t.id as rate, t.code, t.name, t.percent,
        coalesce((select sum(f.quantity) from fulfilment f
                  where f.awaited_id = a.id and f.paper_id = :amends), 0) as own_quantity,
        coalesce((select sum(f.value) from fulfilment f
                  where f.awaited_id = a.id and f.paper_id = :amends), 0) as own_value,
        o.id as order_id, o.number as order_number, og.id as goods, ob.id as bill,
        coalesce(og.line, ob.line, 0) as ordered_line, ol.net as order_net,
        ol.quantity as order_quantity,
        d.approved_at is not null or b.approver = '' or not ok.approved as approved
      from awaited a join paper p on p.id = a.paper_id and p.state = 'POSTED'
      join paper_kind k on k.kind = p.kind join paper_line l on l.paper_id = p.id and l.version = p.version and l.line = a.line
      left join paper o on o.id = if(k.orders, p.id, a.order_paper)
      left join paper_kind ok on ok.kind = o.kind
      left join awaited og on og.paper_id = o.id and og.what in ('ORDERED_GOODS', 'PROMISED_GOODS')
        and og.line = if(a.order_paper = 0, a.line, a.order_line)
      left join awaited ob on ob.paper_id = o.id and ob.what in ('ORDERED_BILL', 'PROMISED_INVOICE')
        and ob.line = if(a.order_paper = 0, a.line, a.order_line)
      left join paper_line ol on ol.paper_id = o.id and ol.version = o.version
        and ol.line = coalesce(og.line, ob.line)
      left join tax_rate t on t.id = coalesce(l.tax_rate_id, ol.tax_rate_id)
      left join order_head d on d.paper_id = o.id
      join book b on b.id = 1
      where p.id <> :amends and\s""";

  /** A row, to be completed with its item and with what came in with it. */
  private record Row(
      long item,
      long paper,
      int line,
      Awaits what,
      BiFunction<Item, List<Awaited.Arrival>, Awaited> complete) {}

  List<Awaited> awaited(String number, long amends) {
    List<Long> paper =
        sql.sql("select id from paper where number = ? and state = 'POSTED'")
            .param(number.strip())
            .query(Long.class)
            .list();
    if (paper.isEmpty()) return List.of();
    return rows(
        sql.sql(
                AWAITED
                    + "(a.paper_id = :paper or a.order_paper = :paper) order by p.date, p.id, a.line, a.what")
            .param("paper", paper.get(0)),
        amends);
  }

  private static final String OPEN = "a.open_quantity > 0";
  private static final String OR_BROUGHT =
      " or a.id in (select awaited_id from fulfilment where paper_id = :amends)";

  List<Awaited> awaited(Awaits what, long party, long amends) {
    return rows(
        sql.sql(
                AWAITED
                    + "a.what = :what and a.party_id = :party and "
                    + (amends == 0 ? OPEN : "(" + OPEN + OR_BROUGHT + ")")
                    + " order by p.date, p.id, a.line")
            .param("what", what.name())
            .param("party", party),
        amends);
  }

  private List<Awaited> rows(JdbcClient.StatementSpec asked, long amends) {
    List<Row> rows = asked.param("amends", amends).query(EarlierPapers::row).list();
    if (rows.isEmpty()) return List.of();
    Map<Long, Item> found = items.apply(rows.stream().map(Row::item).distinct().toList());
    Map<List<Long>, List<Awaited.Arrival>> arrivals = arrivals(rows);
    return rows.stream()
        .map(
            r ->
                r.complete.apply(
                    found.get(r.item),
                    arrivals.getOrDefault(List.of(r.paper, (long) r.line), List.of())))
        .toList();
  }

  private Map<List<Long>, List<Awaited.Arrival>> arrivals(List<Row> rows) {
    Map<List<Long>, List<Awaited.Arrival>> arrivals = new HashMap<>();
    List<Long> receipts =
        rows.stream()
            .filter(r -> r.what == Awaits.RECEIVED_BILL)
            .map(Row::paper)
            .distinct()
            .toList();
    if (receipts.isEmpty()) return arrivals;
    sql.sql(
            "select id, paper_id, line % :part as row_line, date, quantity from cost_event"
                + " where paper_id in (:papers) and kind = 'IN' and not gone order by line")
        .param("part", Plan.PART)
        .param("papers", receipts)
        .query(
            (row, n) ->
                arrivals
                    .computeIfAbsent(
                        List.of(row.getLong(2), row.getLong(3)), k -> new ArrayList<>())
                    .add(
                        new Awaited.Arrival(
                            row.getLong(1), row.getObject(4, LocalDate.class), row.getLong(5))))
        .list();
    return arrivals;
  }

  private static Row row(ResultSet row, int n) throws SQLException {
    Awaited.Order order =
        row.getLong("order_id") == 0
            ? Awaited.Order.NONE
            : new Awaited.Order(
                row.getLong("order_id"),
                row.getString("order_number"),
                row.getInt("ordered_line"),
                row.getLong("goods"),
                row.getLong("bill"),
                row.getLong("order_net"),
                row.getLong("order_quantity"),
                row.getBoolean("approved"));
    long id = row.getLong("id");
    Awaits what = Awaits.valueOf(row.getString("what"));
    PaperKind kind = PaperKind.valueOf(row.getString("kind"));
    long paper = row.getLong("paper_id");
    String number = row.getString("number");
    LocalDate date = row.getObject("date", LocalDate.class);
    long party = row.getLong("party_id");
    int line = row.getInt("line");
    long quantity = row.getLong("quantity");
    long openQuantity = row.getLong("open_quantity") + row.getLong("own_quantity");
    long openValue = row.getLong("open_value") + row.getLong("own_value");
    long net = row.getLong("net");
    BigDecimal price = row.getBigDecimal("price");
    TaxRate rate = rate(row);
    return new Row(
        row.getLong("item_id"),
        paper,
        line,
        what,
        (item, arrivals) ->
            new Awaited(
                id,
                what,
                kind,
                paper,
                number,
                date,
                party,
                line,
                item,
                quantity,
                openQuantity,
                openValue,
                net,
                price,
                rate,
                order,
                arrivals));
  }

  private static TaxRate rate(ResultSet row) throws SQLException {
    return row.getLong("rate") == 0
        ? null
        : new TaxRate(
            row.getLong("rate"),
            row.getString("code"),
            row.getString("name"),
            row.getBigDecimal("percent"));
  }

  /** The paper's own goods; goods that moved before it; goods that moved after. */
  private static final String GOODS =
      """
      select e.id as event, e.line % :part as line, e.quantity from cost_event e
      where e.paper_id = :paper and not e.gone and e.kind in ('IN', 'OUT')
        and (not :sent or e.contra_account in (
          select id from account where role = 'SENT_NOT_INVOICED'))
      union all
      select e.id, f.line, if(e.lot_id = 0, least(f.quantity, e.quantity), e.quantity) from (
        select awaited_id, line, sum(quantity) as quantity from fulfilment
        where paper_id = :paper group by awaited_id, line having quantity > 0) f
      join awaited a on a.id = f.awaited_id and a.what in ('RECEIVED_BILL', 'SENT_INVOICE')
      join cost_event e on e.paper_id = a.paper_id and e.line % :part = a.line and not e.gone
        and (e.kind = 'IN' or e.kind = 'OUT' and e.contra_account in (
          select id from account where role = 'SENT_NOT_INVOICED'))
      where :asks
      union all
      select e.id, f.line, if(e.lot_id = 0, least(f.quantity, e.quantity), e.quantity) from (
        select f.paper_id, f.line as moved_line, a.line, sum(f.quantity) as quantity
        from awaited a join fulfilment f on f.awaited_id = a.id and f.paper_id <> a.paper_id
        where a.paper_id = :paper and a.what in ('BILLED_GOODS', 'INVOICED_GOODS')
        group by f.paper_id, f.line, a.line having quantity > 0) f
      join cost_event e on e.paper_id = f.paper_id and e.line % :part = f.moved_line
        and not e.gone and (e.kind = 'IN' or e.kind = 'OUT' and e.contra_account not in (
          select id from account where role = 'SENT_NOT_INVOICED'))
      where :asks""";

  /** What goods wait for when they move before their bill or invoice. */
  private static final Map<PaperKind, Awaits> WAITS =
      Map.of(PaperKind.RECEIPT, Awaits.RECEIVED_BILL, PaperKind.DELIVERY, Awaits.SENT_INVOICE);

  List<Traded> traded(String number, long amends) {
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
            .filter(h -> h.kind.is(Trait.BRINGS_IN) || h.kind.is(Trait.SENDS));
    if (head.isEmpty()) return List.of();
    Head paper = head.get();
    Awaits waits = WAITS.get(paper.kind);
    List<Awaited> waiting = waits == null ? List.of() : awaited(paper.number, amends);
    record Row(
        long event,
        int line,
        long item,
        long quantity,
        long returned,
        long value,
        long net,
        TaxRate rate,
        long lot) {}
    List<Row> rows =
        sql.sql(
                "select g.event, g.line, g.quantity, e.item_id, e.lot_id, e.quantity as arrived,"
                    + " e.value + e.charges as value, l.net, l.quantity as line_quantity,"
                    + " t.id as rate, t.code, t.name, t.percent,"
                    + """
                     (select coalesce(sum(b.quantity), 0) from cost_event b
                      join paper c on c.id = b.paper_id
                      join paper_line r on r.paper_id = c.id and r.version = c.version
                        and r.line = b.line % :part and r.of_paper = :paper and r.of_line = g.line
                      where b.target_id = g.event and not b.gone and b.kind in ('OUT', 'BACK')
                        and b.paper_id <> :amends) as returned
                    from (\s"""
                    + GOODS
                    + """
                    ) g join cost_event e on e.id = g.event
                    join paper p on p.id = :paper
                    join paper_line l on l.paper_id = p.id and l.version = p.version and l.line = g.line
                    left join tax_rate t on t.id = l.tax_rate_id
                    order by g.line, e.date, e.sequence, e.line""")
            .param("part", Plan.PART)
            .param("paper", paper.id)
            .param("sent", paper.kind.is(SENDS) && !paper.kind.is(SELLS))
            .param("asks", paper.kind.is(BILLS) || paper.kind.is(SELLS))
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
                      rate(row),
                      row.getLong("lot_id"));
                })
            .list();
    Map<Long, Item> found = items.apply(rows.stream().map(Row::item).distinct().toList());
    List<Long> ofLots =
        rows.stream()
            .filter(r -> found.get(r.item).tracking() == Tracking.LOT)
            .map(Row::event)
            .distinct()
            .toList();
    Map<Long, Map<Long, Long>> lots = ofLots.isEmpty() ? Map.of() : lots(ofLots, amends);
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
                    found.get(r.item),
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

  Map<Long, List<Catalogue.LateCharge>> chargedAfter(LocalDate date, Collection<Long> arrivals) {
    Map<Long, List<Catalogue.LateCharge>> charges = new HashMap<>();
    if (arrivals.isEmpty()) return charges;
    sql.sql(
            """
            select c.target_id, p.number, c.date from cost_event c join paper p on p.id = c.paper_id
            where c.target_id in (:arrivals) and c.kind = 'CHARGE' and not c.gone and c.date > :date
            order by c.date, c.id
            """)
        .param("arrivals", arrivals)
        .param("date", date)
        .query(
            (row, n) ->
                charges
                    .computeIfAbsent(row.getLong(1), e -> new ArrayList<>())
                    .add(
                        new Catalogue.LateCharge(
                            row.getString(2), row.getObject(3, LocalDate.class))))
        .list();
    return charges;
  }

  /** What of each lot moved with events and has not gone or come back, millionths. */
  private Map<Long, Map<Long, Long>> lots(List<Long> events, long amends) {
    Map<Long, Map<Long, Long>> lots = new HashMap<>();
    sql.sql(
            """
            select event, lot_id, sum(moved) as left_of_it from (
              select e.id as event, m.lot_id, abs(sum(m.quantity)) as moved
              from cost_event e join quantity_move m on m.paper_id = e.paper_id and m.line = e.line
                and m.item_id = e.item_id and m.lot_id <> 0
              where e.id in (:events) group by e.id, m.lot_id
              union all
              select b.target_id, m.lot_id, -abs(sum(m.quantity))
              from cost_event b join quantity_move m on m.paper_id = b.paper_id and m.line = b.line
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

  /** Whether an open item is of a paper of this kind and number. */
  boolean isOf(long openItem, PaperKind kind, String number) {
    return sql.sql(
            "select exists (select 1 from open_item o join paper p on p.id = o.paper_id"
                + " where o.id = ? and p.kind = ? and p.number = ?)")
        .params(openItem, kind.name(), number.strip())
        .query(Boolean.class)
        .single();
  }

  Optional<CreditDue> creditDue(OpenItem item) {
    return sql.sql(
            """
            select p.number, p.date, p.net, p.tax, t.id as rate, t.code, t.name, t.percent
            from open_item o join paper p on p.id = o.paper_id
            left join paper_line l on l.paper_id = p.id and l.version = p.version
              and l.tax_rate_id is not null
            left join tax_rate t on t.id = l.tax_rate_id
            where o.id = ? order by l.line limit 1
            """)
        .param(item.id())
        .query(
            (row, n) ->
                new CreditDue(
                    item,
                    row.getString(1),
                    row.getObject(2, LocalDate.class),
                    row.getLong(3),
                    row.getLong(4),
                    rate(row)))
        .optional();
  }
}
