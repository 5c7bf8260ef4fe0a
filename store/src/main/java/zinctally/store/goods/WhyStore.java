package zinctally.store.goods;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Booked;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Layer;
import zinctally.core.cost.Method;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;
import zinctally.store.paper.PaperStore;

/** Why goods cost what they cost: the chain from a figure to the papers behind it. */
@Repository
public class WhyStore {
  private static final int ARRIVALS = 6;
  private final PoolStore pools;
  private final Arrivals arrivals;
  private final JdbcClient sql;

  WhyStore(PoolStore pools, Arrivals arrivals, JdbcClient sql) {
    this.pools = pools;
    this.arrivals = arrivals;
    this.sql = sql;
  }

  /** One entry of an event in the stock book. */
  public record Booking(LocalDate date, long value, PaperStore.PaperRef cause) {}

  /**
   * One line that took goods.
   *
   * @param average whether its pool shares one average
   * @param poolQuantity millionths in the pool just before, for an average
   * @param poolValue minor units of those
   * @param recent for an average, the latest arrivals that made it
   */
  public record Line(
      int line,
      long item,
      long quantity,
      long cost,
      boolean average,
      long poolQuantity,
      long poolValue,
      List<Arrivals.Part> parts,
      List<Arrivals.Part> recent,
      List<Booking> bookings) {}

  private record Drew(long arrival, long quantity, long value) {}

  /** Every line of a paper that took goods out, or invoices goods that went with a delivery. */
  public List<Line> ofPaper(long paper) {
    record Out(long event, long item, Method method, int line) {}
    List<Out> outs =
        sql.sql(
                """
                select e.id, e.item_id, i.method, e.line from cost_event e
                join item i on i.id = e.item_id
                where e.kind = 'OUT' and not e.gone and (e.paper_id = :paper or exists (
                  select 1 from fulfilment f join awaited a on a.id = f.awaited_id
                    and a.what = 'SENT_INVOICE' and a.paper_id <> f.paper_id
                  where f.paper_id = :paper and a.paper_id = e.paper_id
                    and a.line = e.line))
                order by e.paper_id, e.part, e.line limit 200
                """)
            .param("paper", paper)
            .query(
                (row, n) ->
                    new Out(
                        row.getLong(1),
                        row.getLong(2),
                        Method.valueOf(row.getString(3)),
                        row.getInt(4)))
            .list();
    return outs.stream().map(o -> line(o.event, o.item, o.method, o.line)).toList();
  }

  private Line line(long event, long item, Method method, int line) {
    Booked out = pools.events(List.of(event)).get(0);
    Position at = out.event().at();
    PoolHead start = pools.stateBefore(item, at);
    List<Drew> drew = new ArrayList<>();
    Pool pool =
        pools.pool(
            item,
            method,
            start,
            true,
            (taker, arrival, quantity, value) -> {
              if (taker == event) drew.add(new Drew(arrival, quantity, value));
            });
    PoolState before = start.state();
    List<Booked> came = new ArrayList<>();
    boolean done = false;
    for (Booked booked : pools.eventsAfter(item, start.last())) {
      boolean mine = booked.event().id() == event;
      if (mine) before = pool.state();
      else if (!done && arrives(booked)) came.add(booked);
      pool.apply(booked.event(), booked.charges());
      done |= mine;
      if (done && pool.state().uncovered().stream().noneMatch(u -> u.out() == event)) break;
    }
    boolean average = method == Method.AVERAGE;
    List<Booked> recent =
        average ? came.subList(Math.max(0, came.size() - ARRIVALS), came.size()) : List.of();
    List<Drew> merged = merged(drew);
    Map<Long, Arrivals.Part> known = arrivals.of(merged.stream().map(Drew::arrival).toList());
    List<Arrivals.Part> parts =
        merged.stream().map(d -> taken(known.get(d.arrival), d.quantity, d.value)).toList();
    Map<Long, Arrivals.Part> behind =
        arrivals.of(recent.stream().map(b -> b.event().id()).toList());
    return new Line(
        line,
        item,
        out.event().quantity(),
        -out.value(),
        average,
        before.onHand(),
        before.worth(),
        parts,
        recent.stream().map(b -> behind.get(b.event().id())).toList(),
        bookings(event));
  }

  /** What came, or came back and was charged with something. */
  private static boolean arrives(Booked booked) {
    EventKind kind = booked.event().kind();
    return kind == EventKind.IN || kind == EventKind.BACK && booked.charges() != 0;
  }

  /** What was taken and given back again, as when provisional cost was covered, cancels out. */
  private static List<Drew> merged(List<Drew> drew) {
    Map<Long, Drew> sums = new LinkedHashMap<>();
    for (Drew d : drew)
      sums.merge(
          d.arrival, d, (a, b) -> new Drew(a.arrival, a.quantity + b.quantity, a.value + b.value));
    return sums.values().stream().filter(d -> d.quantity != 0 || d.value != 0).toList();
  }

  private static Arrivals.Part taken(Arrivals.@Nullable Part arrival, long quantity, long value) {
    return arrival == null
        ? new Arrivals.Part(null, false, quantity, value, 0, 0, List.of(), null)
        : new Arrivals.Part(
            arrival.paper(),
            arrival.back(),
            quantity,
            value,
            arrival.whole(),
            arrival.price(),
            arrival.charges(),
            arrival.made());
  }

  /** What is on hand now, arrival by arrival; an average pool is one part without a paper. */
  public List<Arrivals.Part> onHand(long item) {
    PoolHead head = pools.head(item);
    List<Layer> layers = head.state().layers();
    Map<Long, Arrivals.Part> known = arrivals.of(layers.stream().map(Layer::arrival).toList());
    return layers.stream()
        .map(l -> taken(known.get(l.arrival()), l.quantity(), l.value()))
        .toList();
  }

  /** The latest arrivals of an item, oldest first. */
  public List<Arrivals.Part> latestArrivals(long item) {
    List<Long> latest =
        new ArrayList<>(
            sql.sql(
                    "select id from cost_event where item_id = ? and not gone"
                        + " and (kind = 'IN' or kind = 'BACK' and charges <> 0)"
                        + " order by date desc, sequence desc, line desc limit ?")
                .params(item, ARRIVALS)
                .query(Long.class)
                .list());
    Collections.reverse(latest);
    Map<Long, Arrivals.Part> known = arrivals.of(latest);
    return latest.stream().map(known::get).toList();
  }

  private List<Booking> bookings(long event) {
    return sql.sql(
            """
            select n.posting_date, sum(n.value) as value, p.id, p.number, p.date, p.kind
            from cost_entry n join paper p on p.id = n.cause_id
            where n.event_id = ? group by n.posting_date, n.cause_id having value <> 0
            order by min(n.id)
            """)
        .param(event)
        .query(
            (row, n) ->
                new Booking(
                    row.getObject(1, LocalDate.class),
                    row.getLong(2),
                    new PaperStore.PaperRef(
                        row.getLong(3),
                        row.getString(4),
                        row.getObject(5, LocalDate.class),
                        zinctally.core.papers.PaperKind.valueOf(row.getString(6)))))
        .list();
  }
}
