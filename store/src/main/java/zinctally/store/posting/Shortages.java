package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

  /**
   * Places at which a plan's outgoing lines would leave less than nothing, then or on a later day.
   */
  List<Fault> of(Plan plan, LocalDate date, Map<Long, Item> items) {
    Map<List<Long>, Long> wanted = new LinkedHashMap<>();
    Map<List<Long>, Integer> lines = new LinkedHashMap<>();
    for (Plan.Move move : plan.moves()) {
      List<Long> key = List.of(move.item(), move.place());
      wanted.merge(key, move.quantity(), Math::addExact);
      if (move.quantity() < 0) lines.put(key, move.line());
    }
    List<Fault> faults = new ArrayList<>();
    wanted.forEach(
        (key, quantity) -> {
          if (quantity >= 0) return;
          Low low = lowest(key.get(0), key.get(1), date);
          if (low.quantity + quantity >= 0) return;
          Item item = items.get(key.get(0));
          String says =
              placeName(key.get(1))
                  + " has "
                  + item.units().say(new Quantity(low.quantity))
                  + " of "
                  + item.name()
                  + (low.on == null ? "" : " left on " + low.on)
                  + "; this takes "
                  + item.units().say(new Quantity(-quantity))
                  + "."
                  + elsewhere(item, key.get(1));
          faults.add(Fault.at(lines.get(key), "quantity", says));
        });
    return faults;
  }

  private record Low(long quantity, LocalDate on) {}

  /** The least there is at a place from a date on. */
  private Low lowest(long item, long place, LocalDate date) {
    long now =
        sql.sql("select quantity from place_stock where item_id = ? and place_id = ?")
            .params(item, place)
            .query(Long.class)
            .optional()
            .orElse(0L);
    List<Map.Entry<LocalDate, Long>> later =
        sql.sql(
                """
                select date, sum(quantity) from quantity_move
                where item_id = ? and place_id = ? and date > ?
                group by date order by date desc
                """)
            .params(item, place, date)
            .query((row, n) -> Map.entry(row.getObject(1, LocalDate.class), row.getLong(2)))
            .list();
    long level = now;
    Low low = new Low(now, later.isEmpty() ? null : later.get(0).getKey());
    for (int i = 0; i < later.size(); i++) {
      level -= later.get(i).getValue();
      LocalDate on = i + 1 < later.size() ? later.get(i + 1).getKey() : date;
      if (level < low.quantity) low = new Low(level, on);
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
