package zinctally.store.goods;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.cost.Booked;
import zinctally.core.cost.Method;
import zinctally.core.cost.Trace;
import zinctally.core.cost.WhatIf;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;

/** The book's history under other methods. */
@Repository
public class WhatIfStore {
  private static final int MOST_EVENTS = 200_000;
  private static final List<Method> METHODS = List.of(Method.FIFO, Method.AVERAGE, Method.LIFO);
  private final PoolStore pools;
  private final JdbcClient sql;

  WhatIfStore(PoolStore pools, JdbcClient sql) {
    this.pools = pools;
    this.sql = sql;
  }

  /**
   * @param sold minor units: cost of what went out less what came back
   */
  public record Outcome(@Nullable Method method, long sold, long worth) {}

  /**
   * @param sales minor units that the items were sold for, without tax
   * @param booked what the books have, under the methods that are set
   * @param items how many items were worked out
   * @param left how many were not, because the history is too long to do here at once
   */
  public record Comparison(
      long sales, Outcome booked, List<Outcome> outcomes, int items, int left) {}

  /**
   * @param items those to be compared
   */
  public Comparison compare(List<Long> items) {
    Map<Method, long[]> sums = new EnumMap<>(Method.class);
    METHODS.forEach(m -> sums.put(m, new long[2]));
    List<Long> done = new ArrayList<>();
    int worked = 0;
    for (long item : items) {
      if (worked >= MOST_EVENTS) break;
      List<Booked> events = pools.events(item);
      worked += events.size();
      done.add(item);
      for (Method method : METHODS) {
        WhatIf outcome =
            WhatIf.of(pools.pool(item, method, PoolHead.empty(item), true, Trace.SILENT), events);
        Objects.requireNonNull(sums.get(method))[0] =
            Math.addExact(Objects.requireNonNull(sums.get(method))[0], outcome.costOut());
        Objects.requireNonNull(sums.get(method))[1] =
            Math.addExact(Objects.requireNonNull(sums.get(method))[1], outcome.worth());
      }
    }
    List<Outcome> outcomes =
        METHODS.stream()
            .map(
                m ->
                    new Outcome(
                        m,
                        Objects.requireNonNull(sums.get(m))[0],
                        Objects.requireNonNull(sums.get(m))[1]))
            .toList();
    return new Comparison(
        sales(done), booked(done), outcomes, done.size(), items.size() - done.size());
  }

  private long sales(List<Long> items) {
    if (items.isEmpty()) return 0;
    return sql.sql(
            """
            select coalesce(sum(l.net), 0) from paper_line l
            join paper p on p.id = l.paper_id and p.version = l.version
            join paper_kind k on k.kind = p.kind and k.sale > 0
            where l.item_id in (:items) and p.state = 'POSTED'
            """)
        .param("items", items)
        .query(Long.class)
        .single();
  }

  private Outcome booked(List<Long> items) {
    if (items.isEmpty()) return new Outcome(null, 0, 0);
    long sold =
        sql.sql(
                "select coalesce(-sum(booked), 0) from cost_event"
                    + " where item_id in (:items) and kind in ('OUT', 'BACK') and not gone")
            .param("items", items)
            .query(Long.class)
            .single();
    long worth =
        sql.sql("select coalesce(sum(worth), 0) from cost_pool where item_id in (:items)")
            .param("items", items)
            .query(Long.class)
            .single();
    return new Outcome(null, sold, worth);
  }

  /** Items with a history: of some groups, or all when {@code groups} is empty. */
  public List<Long> items(List<Long> groups) {
    return groups.isEmpty()
        ? sql.sql("select item_id from cost_pool order by item_id").query(Long.class).list()
        : sql.sql(
                "select h.item_id from cost_pool h join item i on i.id = h.item_id"
                    + " where i.group_id in (:groups) order by h.item_id")
            .param("groups", groups)
            .query(Long.class)
            .list();
  }
}
