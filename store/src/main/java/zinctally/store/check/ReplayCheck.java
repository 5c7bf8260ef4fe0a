package zinctally.store.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Booked;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.Method;
import zinctally.core.cost.Pool;
import zinctally.core.cost.PoolState;
import zinctally.core.cost.Position;
import zinctally.core.cost.Recost;
import zinctally.core.cost.Trace;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;

/** Works every pool out again from its first event and holds it against what is booked. */
@Component
class ReplayCheck {
  private static final int NAMED = 20;
  private final PoolStore pools;
  private final JdbcClient sql;

  ReplayCheck(PoolStore pools, JdbcClient sql) {
    this.pools = pools;
    this.sql = sql;
  }

  private record Pooled(long item, String code, Method method) {}

  Finding finding() {
    List<Pooled> items =
        sql.sql(
                "select i.id, i.code, i.method from item i where exists"
                    + " (select 1 from cost_event e where e.item_id = i.id) order by i.id")
            .query(
                (row, n) ->
                    new Pooled(row.getLong(1), row.getString(2), Method.valueOf(row.getString(3))))
            .list();
    List<String> faults = new ArrayList<>();
    List<String> wrong = new ArrayList<>();
    for (Pooled item : items) {
      int before = faults.size();
      check(item, faults);
      if (faults.size() > before) wrong.add(item.code);
    }
    return new Finding(
        "every pool worked out from its first event gives its costs, its layers and its checkpoints",
        items.size(),
        faults.subList(0, Math.min(NAMED, faults.size())),
        faults.size(),
        wrong);
  }

  private Pool fromTheStart(Pooled item) {
    return pools.pool(item.item, item.method, PoolHead.empty(item.item), true, Trace.SILENT);
  }

  private void check(Pooled item, List<String> faults) {
    List<Booked> events = pools.events(item.item);
    Pool pool = fromTheStart(item);
    Recost recost;
    try {
      recost = Recost.of(pool, List.of(), events, 0);
    } catch (CannotCost refused) {
      faults.add(item.code + ": " + refused.getMessage());
      return;
    }
    for (Recost.Change change : recost.changes())
      faults.add(
          item.code
              + ", "
              + paper(change.event().id())
              + " (event "
              + change.event().id()
              + "): booked "
              + change.before()
              + ", worked out "
              + change.after());
    PoolHead head = pools.head(item.item);
    if (!head.state().equals(recost.end()))
      faults.add(item.code + ": its head has other layers than its events give");
    checkpoints(item, events, faults);
  }

  private String paper(long event) {
    return sql.sql(
            "select concat(p.number, ' of ', p.date) from cost_event e"
                + " join paper p on p.id = e.paper_id where e.id = ?")
        .param(event)
        .query(String.class)
        .single();
  }

  /** A checkpoint may stand anywhere; what it holds must be what its place in the events gives. */
  private void checkpoints(Pooled item, List<Booked> events, List<String> faults) {
    Map<Position, PoolState> kept = new HashMap<>();
    pools.checkpoints(item.item).forEach(c -> kept.put(c.last(), c.state()));
    if (kept.isEmpty()) return;
    Pool pool = fromTheStart(item);
    for (Booked booked : events) {
      pool.apply(booked.event(), booked.charges());
      PoolState state = kept.remove(booked.event().at());
      if (state != null && !state.equals(pool.state()))
        faults.add(item.code + ": checkpoint after " + booked.event().at() + " has other layers");
    }
    kept.keySet()
        .forEach(at -> faults.add(item.code + ": checkpoint at " + at + " follows no event"));
  }
}
