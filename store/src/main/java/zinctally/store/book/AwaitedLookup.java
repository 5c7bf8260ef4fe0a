package zinctally.store.book;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.springframework.jdbc.core.simple.JdbcClient;
import zinctally.core.goods.Item;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;

/**
 * Finds what lines of posted papers still wait for, as if the paper being amended had brought
 * nothing.
 */
final class AwaitedLookup {
  private final JdbcClient sql;
  private final long amends;
  private final Function<Collection<Long>, Map<Long, Item>> items;

  AwaitedLookup(JdbcClient sql, long amends, Function<Collection<Long>, Map<Long, Item>> items) {
    this.sql = sql;
    this.amends = amends;
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
      long party,
      BiFunction<Item, List<Awaited.Arrival>, Awaited> complete) {
    boolean hasArrivals() {
      return what == Awaits.RECEIVED_BILL || what == Awaits.CONSIGNED_SOLD;
    }

    /** Whose goods they were; zero for ours. */
    long owner() {
      return what == Awaits.CONSIGNED_SOLD ? party : 0;
    }
  }

  List<Awaited> awaited(String number) {
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
            .param("paper", paper.get(0)));
  }

  private static final String OR_BROUGHT =
      " or a.id in (select awaited_id from fulfilment where paper_id = :amends)";

  private static String open(Awaits what) {
    return what.byValue() ? "(a.open_quantity > 0 or a.open_value <> 0)" : "a.open_quantity > 0";
  }

  List<Awaited> awaited(Awaits what, long party) {
    // mostly nothing waits, and that is found out at a fraction of what the whole question costs
    List<Long> ids =
        sql.sql(
                "select a.id from awaited a where a.what = :what and a.party_id = :party and "
                    + (amends == 0 ? open(what) : "(" + open(what) + OR_BROUGHT + ")"))
            .param("what", what.name())
            .param("party", party)
            .param("amends", amends)
            .query(Long.class)
            .list();
    if (ids.isEmpty()) return List.of();
    return rows(
        sql.sql(AWAITED + "a.id in (:ids) order by p.date, p.id, a.line").param("ids", ids));
  }

  private List<Awaited> rows(JdbcClient.StatementSpec asked) {
    List<Row> rows = asked.param("amends", amends).query(AwaitedLookup::row).list();
    if (rows.isEmpty()) return List.of();
    Map<Long, Item> found = items.apply(rows.stream().map(Row::item).distinct().toList());
    Map<List<Long>, List<Awaited.Arrival>> arrivals = arrivals(rows);
    return rows.stream()
        .map(
            r ->
                r.complete.apply(
                    found.get(r.item),
                    arrivals.getOrDefault(List.of(r.paper, (long) r.line, r.owner()), List.of())))
        .toList();
  }

  /** What came in with lines that wait for a bill, or became ours of a supplier's goods. */
  private Map<List<Long>, List<Awaited.Arrival>> arrivals(List<Row> rows) {
    Map<List<Long>, List<Awaited.Arrival>> arrivals = new HashMap<>();
    List<Long> papers = rows.stream().filter(Row::hasArrivals).map(Row::paper).distinct().toList();
    if (papers.isEmpty()) return arrivals;
    sql.sql(
            """
            select e.id, e.paper_id, e.line, coalesce(o.owner, 0) as owner, e.date, e.quantity
            from cost_event e
            left join (
              select m.paper_id, m.line, m.part, m.item_id, max(p.owner_id) as owner
              from quantity_move m join place p on p.id = m.place_id and p.owner_id is not null
              where m.paper_id in (:papers) and m.quantity < 0
              group by m.paper_id, m.line, m.part, m.item_id
            ) o on o.paper_id = e.paper_id and o.line = e.line and o.part = e.part
              and o.item_id = e.item_id
            where e.paper_id in (:papers) and e.kind = 'IN' and not e.gone order by e.part, e.line
            """)
        .param("papers", papers)
        .query(
            (row, n) ->
                arrivals
                    .computeIfAbsent(
                        List.of(row.getLong(2), row.getLong(3), row.getLong("owner")),
                        k -> new ArrayList<>())
                    .add(
                        new Awaited.Arrival(
                            row.getLong(1),
                            row.getObject("date", LocalDate.class),
                            row.getLong("quantity"))))
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
    long value = row.getLong("value");
    long openQuantity = row.getLong("open_quantity") + row.getLong("own_quantity");
    long openValue = row.getLong("open_value") + row.getLong("own_value");
    long net = row.getLong("net");
    BigDecimal price = row.getBigDecimal("price");
    TaxRate rate = NamedLookup.rate(row);
    return new Row(
        row.getLong("item_id"),
        paper,
        line,
        what,
        party,
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
                value,
                openQuantity,
                openValue,
                net,
                price,
                rate,
                order,
                arrivals));
  }
}
