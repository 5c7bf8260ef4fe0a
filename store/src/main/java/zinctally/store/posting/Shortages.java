package zinctally.store.posting;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import zinctally.core.cost.CannotCost;
import zinctally.core.cost.CostEvent;
import zinctally.core.goods.Item;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Fault;
import zinctally.core.papers.plan.Plan;

/** Says where goods would go under zero, and what else a pool refuses. */
@Component
class Shortages {
  private static final int CHUNK = 500;
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

    /** Whether on some day less is there than without it. */
    boolean takes() {
      long sum = 0;
      for (long quantity : days.values()) if ((sum += quantity) < 0) return true;
      return false;
    }
  }

  /** Places at which a job would leave less than nothing, on its day or a later one. */
  List<Fault> of(Worker.Job job) {
    Map<Key, Change> changes = new LinkedHashMap<>();
    for (Undo.Moved m : job.undo().moves())
      changes
          .computeIfAbsent(new Key(m.item(), m.place()), k -> new Change())
          .add(job.undo().on(m.date()), -m.quantity().micros(), m.spot().line(), false);
    for (Plan.Move m : job.plan().moves())
      changes
          .computeIfAbsent(new Key(m.item(), m.place()), k -> new Change())
          .add(
              m.of() == null ? job.date() : m.of().at().date(),
              m.quantity().micros(),
              m.spot().line(),
              true);
    changes.values().removeIf(change -> !change.takes());
    if (changes.isEmpty()) return List.of();
    LocalDate first =
        changes.values().stream()
            .map(c -> c.days.firstKey())
            .min(LocalDate::compareTo)
            .orElseThrow();
    Here here = here(changes.keySet(), first);
    List<Fault> faults = new ArrayList<>();
    changes.forEach(
        (key, change) -> {
          Low low = lowest(key, change, here);
          if (low != null) faults.add(fault(job, key, change, low));
        });
    return faults;
  }

  private Fault fault(Worker.Job job, Key key, Change change, Low low) {
    Item item = job.item(key.item());
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

  /** What is at the places now, and what moved there after a day, by day. */
  private record Here(Map<Key, Long> now, Map<Key, TreeMap<LocalDate, Long>> later) {
    /** What is there now comes without a day. */
    void read(ResultSet row) throws SQLException {
      Key key = new Key(row.getLong(1), row.getLong(2));
      LocalDate day = row.getObject(3, LocalDate.class);
      if (day == null) now.put(key, row.getLong(4));
      else later.computeIfAbsent(key, k -> new TreeMap<>()).put(day, row.getLong(4));
    }
  }

  private Here here(Set<Key> keys, LocalDate after) {
    Here here = new Here(new HashMap<>(), new HashMap<>());
    List<Key> all = List.copyOf(keys);
    for (int from = 0; from < all.size(); from += CHUNK) {
      List<Key> some = all.subList(from, Math.min(all.size(), from + CHUNK));
      List<Long> items = some.stream().map(Key::item).distinct().toList();
      List<Long> places = some.stream().map(Key::place).distinct().toList();
      // by both columns at once the database would look through all that ever moved
      sql.sql(
              """
              select item_id, place_id, cast(null as date), quantity from place_stock
              where item_id in (:items) and place_id in (:places)
              union all
              (select item_id, place_id, date, sum(quantity)
               from quantity_move force index (move_by_place)
               where item_id in (:items) and place_id in (:places) and date > :after
               group by item_id, place_id, date)
              """)
          .param("items", items)
          .param("places", places)
          .param("after", after)
          .query(here::read);
    }
    return here;
  }

  /** The lowest level before the change on a day on which the change leaves less than nothing. */
  private static @Nullable Low lowest(Key key, Change change, Here here) {
    TreeMap<LocalDate, Long> moved = new TreeMap<>();
    change.days.keySet().forEach(day -> moved.put(day, 0L));
    TreeMap<LocalDate, Long> later = here.later.getOrDefault(key, new TreeMap<>());
    later.forEach((day, quantity) -> moved.merge(day, quantity, Long::sum));
    long level =
        here.now.getOrDefault(key, 0L) - later.values().stream().mapToLong(Long::longValue).sum();
    @Nullable Low low = null;
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
                where s.item_id = ? and s.place_id <> ? and s.quantity > 0 and p.owner_id is null
                order by p.name
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
  Fault sentence(CannotCost refused, Item item, Coin coin) {
    CostEvent event = refused.event();
    String there = item.units().say(new Quantity(Math.max(0, refused.there())));
    String who =
        sql.sql(
                "select p.number from paper p join cost_event e on e.paper_id = p.id where e.id = ?")
            .param(event.id())
            .query(String.class)
            .optional()
            .orElse(null);
    if (refused.reason() == CannotCost.Reason.SHORT) return tooFew(refused, item, who);
    String of = item.name() + " on " + event.at().date() + (who == null ? "" : " (" + who + ")");
    String says =
        switch (refused.reason()) {
          case UNKNOWN_ARRIVAL -> of + ": the arrival it belongs to is not there before it.";
          case UNKNOWN_OUT -> of + ": the sale it returns is not there before it.";
          case RETURNS_TOO_MUCH ->
              of + ": only " + there + " of what was sold can still come back.";
          case BELOW_ZERO ->
              of
                  + ": worth would go below zero"
                  + (refused.there() > 0
                      ? "; only " + coin.say(refused.there()) + " is there."
                      : ".");
          case ABOVE_COST ->
              of
                  + ": goods are not written up above cost; "
                  + (refused.there() == 0
                      ? "nothing has been written down."
                      : "at most " + coin.say(refused.there()) + " can be put back.");
          case NOTHING_TO_REVALUE -> of + ": nothing would be on hand whose worth could change.";
          case NO_TARGET -> of + ": which of them leaves must be named.";
          case SHORT -> throw new IllegalStateException("told above");
        };
    return who == null ? Fault.at(event.at().spot().line(), "item", says) : Fault.whole(says);
  }

  private static Fault tooFew(CannotCost refused, Item item, @Nullable String who) {
    CostEvent event = refused.event();
    String there = item.units().say(new Quantity(Math.max(0, refused.there())));
    String wanted = item.units().say(new Quantity(event.quantity()));
    return who == null
        ? Fault.at(
            event.at().spot().line(),
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
  }
}
