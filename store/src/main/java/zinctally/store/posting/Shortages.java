package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.CostEvent;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Plan;

/** Says where goods would go under zero. */
@Component
class Shortages {
  private final JdbcClient sql;

  Shortages(JdbcClient sql) {
    this.sql = sql;
  }

  private record Key(long item, long place) {}

  /** By how much a place's stock of an item changes, by day, and the last line that takes some. */
  private static final class Change {
    private final TreeMap<LocalDate, Long> days = new TreeMap<>();
    private long taken;
    private int line = -1;

    void add(LocalDate date, long quantity, int atLine, boolean planned) {
      days.merge(date, quantity, Math::addExact);
      taken = Math.addExact(taken, -quantity);
      if (planned && quantity < 0) line = atLine;
    }
  }

  /** Places at which a job would leave less than nothing, on its day or a later one. */
  List<Fault> of(Worker.Job job) {
    Map<Key, Change> changes = new LinkedHashMap<>();
    for (Undo.Moved m : job.undo().moves())
      changes
          .computeIfAbsent(new Key(m.item(), m.place()), k -> new Change())
          .add(job.undo().on(m.date()), -m.quantity(), m.line(), false);
    for (Plan.Move m : job.plan().moves())
      changes
          .computeIfAbsent(new Key(m.item(), m.place()), k -> new Change())
          .add(m.of() == null ? job.date() : m.of().at().date(), m.quantity(), m.line(), true);
    List<Fault> faults = new ArrayList<>();
    changes.forEach(
        (key, change) -> {
          Low low = lowest(key, change);
          if (low != null) faults.add(fault(job, key, change, low));
        });
    return faults;
  }

  private Fault fault(Worker.Job job, Key key, Change change, Low low) {
    Item item = job.items().get(key.item());
    boolean first = low.on.equals(change.days.firstKey());
    String says =
        placeName(key.place())
            + " has "
            + item.units().say(new Quantity(low.quantity))
            + " of "
            + item.name()
            + (first ? "" : " left on " + low.on)
            + "; this takes "
            + item.units().say(new Quantity(change.taken))
            + "."
            + (job.undo() == Undo.NOTHING
                ? elsewhere(item, key.place())
                : takenBy(key, low.on, job.undo().paper()));
    return change.line < 0 ? Fault.whole(says) : Fault.at(change.line, "quantity", says);
  }

  private String takenBy(Key key, LocalDate on, long besides) {
    return sql.sql(
            """
            select p.number, p.date from quantity_move m join paper p on p.id = m.paper_id
            where m.item_id = ? and m.place_id = ? and m.date <= ? and m.quantity < 0
              and m.paper_id <> ? and p.state = 'POSTED'
            order by m.date desc, m.id desc limit 1
            """)
        .params(key.item(), key.place(), on, besides)
        .query(
            (row, n) ->
                " " + row.getString(1) + " of " + row.getString(2) + " has taken of them since.")
        .optional()
        .orElse("");
  }

  private record Low(long quantity, LocalDate on) {}

  /** The lowest level before the change on a day on which the change leaves less than nothing. */
  private Low lowest(Key key, Change change) {
    long least = 0;
    long sum = 0;
    for (long quantity : change.days.values()) least = Math.min(least, sum += quantity);
    if (least == 0) return null;
    LocalDate first = change.days.firstKey();
    TreeMap<LocalDate, Long> moved = new TreeMap<>();
    change.days.keySet().forEach(day -> moved.put(day, 0L));
    sql.sql(
            """
            select date, sum(quantity) from quantity_move
            where item_id = ? and place_id = ? and date > ? group by date
            """)
        .params(key.item(), key.place(), first)
        .query(
            (row, n) -> moved.merge(row.getObject(1, LocalDate.class), row.getLong(2), Long::sum))
        .list();
    long level =
        sql.sql("select quantity from place_stock where item_id = ? and place_id = ?")
                .params(key.item(), key.place())
                .query(Long.class)
                .optional()
                .orElse(0L)
            - moved.values().stream().mapToLong(Long::longValue).sum();
    Low low = null;
    long changed = 0;
    for (Map.Entry<LocalDate, Long> day : moved.entrySet()) {
      level += day.getValue();
      changed += change.days.getOrDefault(day.getKey(), 0L);
      if (changed < 0 && level + changed < 0 && (low == null || level < low.quantity))
        low = new Low(level, day.getKey());
    }
    return low;
  }

  private String elsewhere(Item item, long place) {
    List<String> others =
        sql.sql(
                """
                select p.name, s.quantity from place_stock s join place p on p.id = s.place_id
                where s.item_id = ? and s.place_id <> ? and s.quantity > 0 order by p.name
                """)
            .params(item.id(), place)
            .query(
                (row, n) ->
                    row.getString(1) + " has " + item.units().say(new Quantity(row.getLong(2))))
            .list();
    return others.isEmpty() ? "" : " " + String.join(", ", others) + ".";
  }

  private String placeName(long id) {
    return sql.sql("select name from place where id = ?").param(id).query(String.class).single();
  }

  /** What a pool refuses, as a sentence. */
  Fault sentence(CannotCost refused, Item item) {
    CostEvent event = refused.event();
    String there = item.units().say(new Quantity(Math.max(0, refused.there())));
    String wanted = item.units().say(new Quantity(event.quantity()));
    String who =
        sql.sql(
                "select p.number from paper p join cost_event e on e.paper_id = p.id where e.id = ?")
            .param(event.id())
            .query(String.class)
            .optional()
            .orElse(null);
    return switch (refused.reason()) {
      case SHORT ->
          who == null
              ? Fault.at(
                  event.at().line(),
                  "quantity",
                  "There are "
                      + there
                      + " of "
                      + item.name()
                      + " on "
                      + event.at().date()
                      + "; this takes "
                      + wanted
                      + ".")
              : Fault.whole(
                  item.name()
                      + " would run short: "
                      + who
                      + " of "
                      + event.at().date()
                      + " takes "
                      + wanted
                      + ", and only "
                      + there
                      + " would be left for it.");
      default ->
          Fault.whole(
              item.name()
                  + " on "
                  + event.at().date()
                  + (who == null ? "" : ", " + who)
                  + ": "
                  + refused.reason().name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ')
                  + ".");
    };
  }
}
